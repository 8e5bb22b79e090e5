# frozen_string_literal: true

module Server
  # Reports over several tables.
  module Queries
    # Everything that belongs to one job, read once, and what core makes of it.
    #
    # SQL: one select by job_id each for reading (with battery and places), what was opened, withdrawal, judgement, repair, disturbance,
    # condemnation, attempt, under_machine, job_event, job_symptom, job_sheet; unit with yard; fittings at the time the job ended or now; names of
    # the people in it.
    class JobRecord
      DAY_SECONDS = 86_400
      private_constant :DAY_SECONDS
      attr_reader :job

      # The job is held, so that what is judged here and what somebody enters now do not pass each other.
      #
      # @param id [String]
      # @yieldparam record [JobRecord]
      def self.of(id)
        DB.transaction { yield new(Models::Job.for_update.with_pk!(id)) }
      end

      # @param job [Models::Job]
      def initialize(job)
        @job = job
      end

      def id = job.id
      def unit = @unit ||= Models::Unit.where(id: job.unit_id).eager(:yard).first
      def circuits = @circuits ||= UnitCircuits.new(job.unit_id)
      def attempts = @attempts ||= Models::Attempt.where(job_id: job.id).order(:what).all
      def events = @events ||= Models::JobEvent.where(job_id: job.id).order(:at).all
      def repairs = @repairs ||= Models::Repair.where(job_id: job.id).order(:made_at).all
      def disturbances = @disturbances ||= Models::Disturbance.where(job_id: job.id).order(:noted_at).all
      def condemnations = @condemnations ||= Models::Condemnation.where(job_id: job.id).order(:at).all

      # @return [Array<Models::AccessNote>] of the class of its unit
      def access_notes = @access_notes ||= Models::AccessNote.of_class(unit.unit_class_id)

      def under_machine = @under_machine ||= Models::UnderMachine.where(job_id: job.id).order(:since).all

      # @return [Array<Models::Reading>] all, superseded and withdrawn ones too, in the order they were taken
      def readings
        @readings ||= Models::Reading.where(job_id: job.id).eager(:battery, :from_place, :to_place).order(:taken_at, :received_at).all
      end

      # @return [Hash{String => Array<String>}] UUIDs of what was unplugged, by reading id
      def opened
        @opened ||= DB[:opened_at_reading].where(reading_id: readings.select(&:between_points?).map(&:id)).select_hash_groups(:reading_id, :item_uuid)
      end

      # @return [JobCircuit] the unit's circuit by the sheets that this job holds
      def circuit = @circuit ||= JobCircuit.new(job.id, unit.core_system(batteries.transform_values(&:to_core)), job.symptom)

      # @return [JobSuspects] what each fault of its complaint would show
      def suspects = @suspects ||= JobSuspects.new(self)

      # @return [Wattomneum::Jobs::Symptom]
      def symptom = @symptom ||= job.symptom.to_core(circuit)

      # @return [Hash{String => Models::Withdrawal}] by reading id
      def withdrawals
        @withdrawals ||= Models::Withdrawal.where(reading_id: readings.map(&:id)).as_hash(:reading_id)
      end

      # @return [Hash{String => Models::Judgement}] the judgement made when each reading was taken
      def first_judgements
        @first_judgements ||= Models::Judgement.where(reading_id: readings.map(&:id),
                                                      occasion: 'taken').as_hash(:reading_id)
      end

      # @return [Hash{Integer => String}] names by account id
      def names
        @names ||= Models::Account.where(id: people_ids).select_hash(:id, :name)
      end

      # @return [Array<Models::Reading>] neither superseded nor withdrawn
      def standing
        gone = (readings.filter_map(&:supersedes_id) + withdrawals.keys).to_set
        readings.reject { |reading| gone.include?(reading.id) }
      end

      # @param row [Models::Reading]
      # @return [Boolean] whether it was taken long before the job was reopened
      def stale?(row) = Wattomneum::Jobs::Reopening.stale?(row.taken_at, reopened_at)

      # @return [Set<String>] ids of readings that a correction took the place of
      def superseded = @superseded ||= readings.filter_map(&:supersedes_id).to_set

      # @return [Hash{String => Models::Battery}] by position
      def batteries
        @batteries ||= Models::Fitting.where(unit_id: job.unit_id).where(fitted_at(job.ended_at || Time.now.utc))
                                      .eager(:battery).all.to_h { |fitting| [fitting.position, fitting.battery] }
      end

      # @return [Array<Wattomneum::Jobs::Change>] what was taken off and put back by itself, not with a repair
      def changes
        disturbances.select { |one| one.put_back_at && one.repair_id.nil? }
                    .map { |one| Wattomneum::Jobs::Change.new(what: "#{one.what}, off and back on", at: one.put_back_at) }
      end

      # @return [Wattomneum::Faults::Assessment]
      def assessment = @assessment ||= assess(circuit.machine)

      # @return [Array<String>] what keeps the job from being closed: of what it is about, and of the engine it is on
      def missing_to_close = assessment.missing_to_close + (job.state == 'open' ? Engine.new(unit).missing_to_close : [])

      private

      def assess(machine)
        Wattomneum::Faults::Assessment.new(
          system: unit.core_system(batteries.transform_values(&:to_core)), readings: fresh.reject(&:between_points?).map(&:to_core),
          points: points, machine: machine, repairs: repairs.map(&:to_core), symptom: symptom, limits: rules.limits, schools: rules.schools,
          disturbed_count: disturbances.count { |one| one.put_back_at.nil? }, table: suspects.table,
          past: suspects.table ? past(machine) : []
        )
      end

      # It moves suspects only.
      def past(machine) = mended_before + tried_before(machine)

      # SQL: select repair_unit, made_at from repair join job on job.id = job_id where unit_id = ? and job_id <> ? and made_at < ? and
      # made_at > ? and repair_unit is not null
      def mended_before
        begun = job.opened_at
        since = begun - (Wattomneum::Faults::Suspects::Priors::LONGEST_DAYS * DAY_SECONDS)
        earlier = Models::Repair.association_join(:job).where(unit_id: job.unit_id).exclude(job_id: job.id).exclude(repair_unit: nil)
        earlier.where { (made_at < begun) & (made_at > since) }.select_map(%i[repair_unit made_at])
               .map { |unit, at| Wattomneum::Jobs::PastWork.new(unit: unit, days: ((begun - at) / DAY_SECONDS).floor) }
      end

      def tried_before(machine)
        told = attempts.map { |one| Wattomneum::Jobs::TriedBefore::Told.new(what: one.what, fitted: one.fitted_without_diagnosis) }
        Wattomneum::Jobs::TriedBefore.past_work(told, machine)
      end

      # What is stale counts no more, a proof neither; what a repair was made for stays what it was made for.
      def fresh
        @fresh ||= begin
          named = repairs.filter_map(&:failing_reading_id)
          standing.reject { |row| stale?(row) && !named.include?(row.id) }
        end
      end

      def points
        fresh.select(&:between_points?).map { |row| row.to_point(circuit.machine && circuit, opened: opened.fetch(row.id, [])) }
      end

      def reopened_at = @reopened_at ||= events.reverse.find { |event| event.kind == 'reopened' }&.at
      def rules = @rules ||= FleetRules.new
      def fitted_at(time) = Sequel.pg_range_op(:during).contains(Sequel.cast(time, :timestamptz))

      def people_ids
        [job.opened_by_id, *under_machine.map(&:person_id), *events.map(&:person_id), *readings.map(&:person_id), *repairs.map(&:person_id),
         *condemnations.map(&:person_id)].uniq
      end
    end
  end
end
