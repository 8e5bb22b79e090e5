# frozen_string_literal: true

module Server
  module Routes
    # Repairs, what was disturbed to get there, and parts condemned from the top of their ladder.
    class Repairs < Base
      post '/api/jobs/:id/repairs' do
        allow!(:work_on_job)
        once(201, :bench) { job.record_repair(contract!(Contracts::NewRepair), by: person) }
      end

      post '/api/jobs/:id/disturbances' do
        allow!(:work_on_job)
        once(201, :bench) { job.note_disturbance(contract!(Contracts::NewDisturbance)) }
      end

      post '/api/disturbances/:id/put-back' do
        allow!(:work_on_job)
        once(200, :bench) do
          held = job_of(find!(Models::Disturbance.dataset, id_param, 'entry'))
          find!(Models::Disturbance.dataset, id_param, 'entry').put_back(by: person, at: Time.now.utc)
          held
        end
      end

      post '/api/jobs/:id/condemnations' do
        allow!(:work_on_job)
        input = contract!(Contracts::NewCondemnation)
        allow!(:override_ladder) if input[:override_reason]
        once(201, :bench) { job.condemn(input, by: person) }
      end

      post '/api/repairs/:id/make-permanent' do
        allow!(:work_on_job)
        once(200, :bench) do
          held = job_of(find!(Models::Repair.dataset, id_param, 'repair'))
          find!(Models::Repair.dataset, id_param, 'repair').make_permanent(at: Time.now.utc)
          held
        end
      end

      private

      def job = hold!(Models::Job.dataset, id_param, 'job')
      def job_of(row) = hold!(Models::Job.dataset, row.job_id, 'job')
    end
  end
end
