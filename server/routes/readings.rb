# frozen_string_literal: true

module Server
  module Routes
    # Readings: taken, corrected by a superseding one, withdrawn; never changed.
    class Readings < Base
      post '/api/jobs/:id/readings' do
        allow!(:take_reading)
        once(201, :bench) { job.take_reading(contract!(Contracts::NewReading), by: person, now: Time.now.utc) }
      end

      post '/api/readings/:id/correction' do
        allow!(:take_reading)
        once(201, :bench) { job_of_reading.correct_reading(id_param, contract!(Contracts::Correction), by: person, now: Time.now.utc) }
      end

      post '/api/readings/:id/withdrawal' do
        allow!(:take_reading)
        once(201, :bench) { job_of_reading.withdraw_reading(id_param, contract!(Contracts::Withdrawal), by: person) }
      end

      private

      def job = hold!(Models::Job.dataset, id_param, 'job')

      def job_of_reading
        reading = find!(Models::Reading.dataset, id_param, 'reading')
        hold!(Models::Job.dataset, reading.job_id, 'job')
      end
    end
  end
end
