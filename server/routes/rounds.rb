# frozen_string_literal: true

module Server
  module Routes
    # Rounds of a unit: what is read where nothing is complained of.
    class Rounds < Base
      get '/api/units/:id/rounds/:kind' do
        allow!(:read)
        json(shown)
      end

      post '/api/units/:id/rounds/:kind/readings' do
        allow!(:take_reading)
        kind
        once(201, :shown) do
          round.take(contract!(Contracts::NewReading), by: person)
          nil
        end
      end

      post '/api/units/:id/rounds/:kind/readings/:reading/withdrawal' do
        allow!(:take_reading)
        kind
        once(200, :shown) do
          round.withdraw(id_param(:reading), contract!(Contracts::Withdrawal)[:reason], by: person)
          nil
        end
      end

      private

      def kind
        Wattomneum::Readings::Rounds::BY_KEY[params['kind']] || raise(Refusals::NotFound, 'No such round: batteries, start, charge or asleep')
      end

      def round = Models::Round.new(hold!(Models::Unit.dataset, id_param, 'unit'), now: Time.now.utc)

      def shown(_about = nil)
        unit = find!(Models::Unit.dataset.eager(:yard), id_param, 'unit')
        Presenters::Round.call(Queries::RoundRecord.new(unit, at: Time.now.utc), kind)
      end
    end
  end
end
