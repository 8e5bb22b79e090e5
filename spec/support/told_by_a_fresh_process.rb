# frozen_string_literal: true

# told_by_a_fresh_process.rb: what a process that has worked out nothing yet says of the database that is given: jobs with their verdicts, next step
# and suspects; every way to stop of every fitted sheet; a draft with all its objections; and the judgements that it stores when every open job gets
# one more reading, which are taken back again. Run by busy_machine_spec.rb; where it runs must not be seen in it.
require_relative '../../server/boot'

module Told
  MODELS = Server::Models
  TAKEN = Time.utc(2026, 1, 5, 8)
  # Of a judgement that is kept: what it says, and nothing of when and under which id.
  SAID = %i[verdict validity weight occasion].freeze

  def self.bench(job) = Server::Presenters::JobBench.call(Server::Queries::JobRecord.new(MODELS::Job.with_pk!(job.id)))

  def self.stops
    MODELS::UnitSheet.current.eager(:unit, version: :sheet).order(:id).all.select { |one| one.version.names_stops? }.map do |fitted|
      Server::Presenters::Circuits::Stops.call(Server::Queries::Stops.new(Server::Queries::SheetToRead.of(fitted, fitted: fitted)))
    end
  end

  def self.draft
    version = MODELS::SheetVersion.newest_of('ecu_power')
    begun = MODELS::SheetDraft.begin({ id: '00000000-0000-4000-8000-00000000d1af', version_id: version.id }, by: MODELS::Account.first)
    whole = MODELS::SheetDraft.where(id: begun.id).eager(:base_version, rows: :person).first
    Server::Presenters::Circuits::Draft.call(whole, MODELS::Account.first)
  end

  # What each job comes to with one more reading; the readings before it may be judged anew.
  def self.stored(job, by)
    before = MODELS::Judgement.max(:made_at)
    reading = { id: SecureRandom.uuid, test_key: 'ground_drop', value_text: '0.9', conditions: { value_confirmed: 'yes' } }
    MODELS::Job.for_update.with_pk!(job.id).take_reading(reading, by: by, now: TAKEN)
    rows = MODELS::Judgement.join(:reading, id: :reading_id).where(Sequel[:reading][:job_id] => job.id).where { made_at > before }
    rows.select_map([*SAID.map { |name| Sequel[:judgement][name] }, Sequel.pg_jsonb_op(:snapshot).get_text('summary').as(:summary)]).sort_by(&:to_s)
  rescue Server::Refusals::Refusal => e
    e.message
  end

  def self.ended = MODELS::Job.exclude(state: 'open').order(:number).limit(15).all

  def self.all
    jobs = MODELS::Job.where(state: 'open').order(:number).all
    by = MODELS::Account.first(role: 'electrician')
    told = { benches: (jobs + ended).map { |job| bench(job) }, stops: stops }
    Server::DB.transaction(rollback: :always, auto_savepoint: true) do
      told.merge(draft: draft, stored: jobs.map { |job| stored(job, by) })
    end
  end
end

puts JSON.pretty_generate(Told.all) # rubocop:disable RSpec/Output -- a program
