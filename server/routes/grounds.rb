# frozen_string_literal: true

module Server
  module Routes
    # The grounds of a unit: the map, and what is read and done on a round.
    class Grounds < Base
      get '/api/units/:id/grounds' do
        allow!(:read)
        json(shown)
      end

      post '/api/units/:id/grounds/:uuid/services' do
        allow!(:take_reading)
        once(201, :shown) do
          Models::GroundService.note(grounds, params['uuid'], contract!(Contracts::NewGroundService), by: person)
          nil
        end
      end

      post '/api/units/:id/second-ground' do
        allow!(:take_reading)
        once(201, :shown) do
          Models::SecondGround.add(hold!(Models::Unit.dataset, id_param, 'unit'), contract!(Contracts::NewSecondGround), by: person)
          nil
        end
      end

      post '/api/units/:id/second-ground/removal' do
        allow!(:take_reading)
        once(200, :shown) do
          Models::SecondGround.remove(hold!(Models::Unit.dataset, id_param, 'unit'), contract!(Contracts::WithReason)[:reason])
          nil
        end
      end

      private

      def unit = find!(Models::Unit.dataset, id_param, 'unit')
      def grounds = Queries::UnitGrounds.new(unit)
      def shown(_about = nil) = Queries::Machines.asked_by(person) { Presenters::UnitGrounds.call(grounds) }
    end
  end
end
