# frozen_string_literal: true

module Server
  module Routes
    # How to get at places on units of one class.
    class AccessNotes < Base
      get '/api/units/:id/access' do
        allow!(:read)
        json(shown)
      end

      post '/api/units/:id/access' do
        allow!(:take_reading)
        once(201, :shown) do
          Models::AccessNote.note(hold!(Models::Unit.dataset, id_param, 'unit'), contract!(Contracts::NewAccessNote), by: person)
          nil
        end
      end

      post '/api/units/:id/access/:note/end' do
        allow!(:take_reading)
        once(200, :shown) do
          hold!(Models::AccessNote.where(unit_class_id: unit.unit_class_id), id_param(:note), 'note').strike_out
          nil
        end
      end

      private

      def unit = find!(Models::Unit.dataset, id_param, 'unit')
      def shown(_about = nil) = Queries::Machines.asked_by(person) { Presenters::UnitAccess.call(Queries::UnitAccess.new(unit)) }
    end
  end
end
