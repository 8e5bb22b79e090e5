# frozen_string_literal: true

module Server
  module Routes
    # The circuits of one unit: sheets fitted, conflicts of the drawings and their rulings.
    class UnitCircuits < Base
      get '/api/units/:id/circuits' do
        allow!(:read)
        json(Presenters::Circuits::UnitList.call(Queries::UnitCircuits.new(unit.id)))
      end

      post '/api/units/:id/circuits' do
        allow!(:edit_circuits)
        once do
          Models::CircuitWork.new(held).fit(contract!(Contracts::SheetFitting), at: Time.now.utc)
          [201, Presenters::Circuits::UnitList.call(Queries::UnitCircuits.new(unit.id))]
        end
      end

      post '/api/units/:id/rulings' do
        allow!(:edit_circuits)
        once do
          Models::CircuitWork.new(held).rule(contract!(Contracts::NewRuling), by: person)
          [201, Presenters::Circuits::UnitList.call(Queries::UnitCircuits.new(unit.id))]
        end
      end

      private

      def unit = @unit ||= find!(Models::Unit.dataset, id_param, 'unit')
      def held = @unit = hold!(Models::Unit.dataset, id_param, 'unit')
    end
  end
end
