# frozen_string_literal: true

module Server
  module Routes
    # Ways to stop the engine of a unit: what single faults do to them, trials that were seen, what a lead answers.
    class Stops < Base
      get '/api/circuits/:id/stops' do
        allow!(:read)
        json(shown)
      end

      post '/api/circuits/:id/stop-proofs' do
        allow!(:take_reading)
        once(201, :shown) do
          input = contract!(Contracts::NewStopProof)
          Models::StopProof.tell(fitted, asked(input), input, by: person)
          nil
        end
      end

      post '/api/circuits/:id/stop-answers' do
        allow!(:lift_hold)
        once(201, :shown) do
          input = contract!(Contracts::NewStopAnswer)
          # What it answers is worked out anew: a sheet too large for that is refused as it is when it is asked for.
          Queries::Machines.asked_by(person) { Models::StopAnswer.give(fitted, stops.table(input[:device]), input, by: person) }
          nil
        end
      end

      private

      def here = @here ||= Queries::SheetToRead.by_id(id_param)
      def stops = Queries::Stops.new(here)

      def asked(input)
        stops.table(input[:device]).asked.find { |one| one.key == input[:asked] } || raise(Refusals::NotFound, 'It is not asked to stop that way')
      end

      def fitted = here.fitted || raise(Refusals::NotFound, 'No such sheet on a unit')
      def shown = Queries::Machines.asked_by(person) { Presenters::Circuits::Stops.call(stops) }
    end
  end
end
