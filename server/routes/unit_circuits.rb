# frozen_string_literal: true

module Server
  module Routes
    # The circuits of one unit: sheets fitted, conflicts of the drawings and their rulings.
    class UnitCircuits < Base
      get '/api/units/:id/circuits' do
        allow!(:read)
        json(list)
      end

      get '/api/units/:id/complaints' do
        allow!(:read)
        json(Presenters::Complaints.call(Queries::Machines.asked_by(person) { Queries::UnitCircuits.new(unit.id).complaints }))
      end

      post '/api/units/:id/circuits' do
        allow!(:edit_circuits)
        once(201, :list) do
          Models::CircuitWork.new(held).fit(contract!(Contracts::SheetFitting), at: Time.now.utc)
          nil
        end
      end

      post '/api/units/:id/circuits/as-sisters' do
        allow!(:edit_circuits)
        once(201, :list) do
          Models::CircuitWork.new(held).fit_as_sisters(at: Time.now.utc)
          nil
        end
      end

      post '/api/units/:id/rulings' do
        allow!(:edit_circuits)
        once(201, :list) do
          Models::CircuitWork.new(held).rule(contract!(Contracts::NewRuling), by: person)
          nil
        end
      end

      private

      def unit = @unit ||= find!(Models::Unit.dataset, id_param, 'unit')
      def list = Presenters::Circuits::UnitList.call(Queries::UnitCircuits.new(unit.id))
      def held = @unit = hold!(Models::Unit.dataset, id_param, 'unit')
    end
  end
end
