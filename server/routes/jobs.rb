# frozen_string_literal: true

module Server
  module Routes
    # Jobs: open, work, park, close, reopen, cancel, export.
    class Jobs < Base
      get '/api/jobs' do
        allow!(:read)
        rows, following = Models::Job.page(params['state'], before: params['before'])
        json(jobs: rows.map { |row| Presenters::JobLine.call(row) }, next: following)
      end

      post '/api/jobs' do
        allow!(:report_fault)
        once(201, :bench) { Models::Job.open(contract!(Contracts::NewJob), by: person) }
      end

      get '/api/jobs/:id' do
        allow!(:read)
        polled(bench(job))
      end

      get '/api/jobs/:id/points' do
        allow!(:read)
        found = Queries::JobRecord.new(job)
        polled(Presenters::InItsWords.call(Presenters::JobPoints.call(found.circuit.machine!), found.assessment.system))
      end

      get '/api/jobs/:id/drawing' do
        allow!(:read)
        found = Queries::JobRecord.new(job)
        polled(Presenters::InItsWords.call(Presenters::JobDrawing.call(found, params['sheet']), found.assessment.system))
      end

      get '/api/jobs/:id/sisters' do
        allow!(:read)
        json({ sisters: Presenters::SisterUnits.of_job(Queries::JobRecord.new(job)) })
      end

      get '/api/jobs/:id/expectation' do
        allow!(:read)
        found = Models::PointQuestion.new(Queries::JobRecord.new(job), Contracts.check(Contracts::PointQuestion.new, asked))
        json(Presenters::InItsWords.call(Presenters::ProbeCard.call(found.probe, found.assessment), found.assessment.system))
      end

      patch '/api/jobs/:id' do
        allow!(:work_on_job)
        once(200, :bench) { held.edit(contract!(Contracts::JobEdit)) }
      end

      get '/api/jobs/:id/export' do
        allow!(:read)
        found = job
        attachment "job-#{found.number}.json"
        JSON.pretty_generate(Presenters::JobExport.call(Queries::JobRecord.new(found)))
      end

      post '/api/jobs/:id/attempts' do
        allow!(:work_on_job)
        once(201, :bench) { held.note_attempt(contract!(Contracts::Attempt)) }
      end

      post '/api/jobs/:id/under-machine' do
        allow!(:work_on_job)
        once(200, :bench) { held.under_machine(contract!(Contracts::UnderMachine), by: person) }
      end

      post '/api/jobs/:id/close' do
        allow!(:work_on_job)
        once(200, :bench) { held.close(contract!(Contracts::Ending), by: person) }
      end

      post '/api/jobs/:id/park' do
        allow!(:work_on_job)
        once(200, :bench) { held.park(contract!(Contracts::Ending), by: person) }
      end

      post '/api/jobs/:id/reopen' do
        allow!(:work_on_job)
        once(200, :bench) { held.reopen(contract!(Contracts::Ending), by: person) }
      end

      post '/api/jobs/:id/cancel' do
        allow!(:work_on_job)
        once(200, :bench) { held.cancel(contract!(Contracts::Ending), by: person) }
      end

      private

      # Query strings have text only; what is opened is listed with commas.
      def asked
        given = params.slice('by', 'from', 'to', 'situation')
        given.merge('opened' => params['opened'].to_s.split(',').map(&:strip).reject(&:empty?))
      end

      def job = find!(Models::Job.dataset, id_param, 'job')
      def held = hold!(Models::Job.dataset, id_param, 'job')
    end
  end
end
