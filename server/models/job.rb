# frozen_string_literal: true

module Server
  module Models
    # A repair job on one unit: intake, readings, repairs, and how it ended.
    class Job < Sequel::Model(:job)
      include Measuring
      include Mending

      unrestrict_primary_key
      plugin :optimistic_locking
      many_to_one :unit, class: 'Server::Models::Unit'
      one_to_many :attempts, class: 'Server::Models::Attempt', order: :what
      one_to_one :symptom, class: 'Server::Models::JobSymptom', key: :job_id
      one_to_many :events, class: 'Server::Models::JobEvent', order: :at

      STATES = %w[open parked closed cancelled].freeze

      dataset_module do
        def unfinished = where(state: %w[open parked])

        # SQL: select * from job where state in ? [and (opened_at, number) < (those of the last job shown)]
        #      order by opened_at desc, number desc limit one more than a page
        def listed(state, last)
          rows = state.to_s.empty? ? unfinished : where(state: state)
          rows = rows.where { Sequel.lit('(opened_at, number) < (?, ?)', last.opened_at, last.number) } if last
          rows.eager(:symptom, unit: :yard).order(Sequel.desc(:opened_at), Sequel.desc(:number)).limit(PAGE + 1)
        end
      end

      PAGE = 100

      # @param state [String, nil] nil for open and parked ones
      # @param before [String, nil] number of the last job of the page before
      # @return [Array(Array<Job>, String)] and what before must be for the next page, nil after the last
      # @raise [Refusals::InvalidInput] if there is no such state or job
      def self.page(state, before: nil)
        unless state.to_s.empty? || STATES.include?(state)
          raise Refusals::InvalidInput.new("A job is #{STATES.join(', ')}", fields: { 'state' => ['is none of them'] })
        end

        last = before.to_s.empty? ? nil : numbered(before)
        rows = listed(state, last).all
        [rows.first(PAGE), rows.size > PAGE ? rows[PAGE - 1].number.to_s : nil]
      end

      def self.numbered(text)
        found = text.match?(/\A\d{1,9}\z/) && first(number: text.to_i)
        found || raise(Refusals::InvalidInput.new('No such job to go on from: look at the list anew', fields: { 'before' => ['is no job'] }))
      end
      private_class_method :numbered

      # @param input [Hash] of Contracts::NewJob
      # @param by [Account]
      # @return [Job]
      def self.open(input, by:)
        unit = Unit.for_update.first(id: input[:unit_id]) || raise(Refusals::NotFound, 'No such unit')
        raise Refusals::InvalidInput.new('This unit is retired: bring it back first', fields: {}) if unit.retired_at

        about = JobSymptom.columns(input[:symptom], unit.id)
        intake = input.slice(:id, :unit_id, :complaint).merge(seen: input.fetch(:seen, ''))
        job = create(**intake, opened_by_id: by.id, lamps: Sequel.pg_array(input.fetch(:lamps, []), :text))
        JobSymptom.create(job_id: job.id, **about)
        input.fetch(:attempts, []).each { |attempt| Attempt.create(job_id: job.id, **attempt) }
        JobEvent.create(job_id: job.id, kind: 'opened', person_id: by.id)
        job.keep_sheets
        Queries::JobRecord.new(job.refresh).suspects.order
        job
      end

      # The job holds the sheets of its unit as they are now; their versions are frozen.
      def keep_sheets
        UnitSheet.current.where(unit_id: unit_id).eager(:version).all.each do |fitted|
          fitted.version.freeze_for_use
          overrides = JSON.generate(fitted.overrides.to_h)
          db[:job_sheet].insert(job_id: id, version_id: fitted.version_id, overrides: Sequel.lit('?::jsonb', overrides),
                                overrides_digest: Digest::SHA256.hexdigest(overrides))
        end
      end

      # @param input [Hash] of Contracts::JobEdit
      # @return [Job]
      def edit(input)
        refuse_ended!
        refuse_stale!(input[:lock_version])
        symptom.update(JobSymptom.columns(input[:symptom], unit_id)) unless symptom.says?(input[:symptom])
        modified!(:complaint) # who only says anew what it is about has changed the job too
        update(input.except(:lock_version, :symptom))
        self
      end

      # @param input [Hash] of Contracts::Attempt
      # @return [Job]
      def note_attempt(input)
        refuse_unless_open!
        Attempt.create(job_id: id, **input)
        self
      end

      # No version is asked for: whoever crawls out says so on whatever device is at hand.
      #
      # @param input [Hash] of Contracts::UnderMachine
      # @return [Job]
      def under_machine(input, by:)
        UnderMachine.say(id, input.fetch(:person_id, by.id), input[:somebody])
        self
      end

      # @raise [Refusals::InvalidInput] with the missing points
      def close(input, by:)
        missing = missing_to_close
        if missing.any?
          raise Refusals::InvalidInput.new("Not yet: #{missing.join('. ')}",
                                           fields: { 'missing' => missing })
        end

        change_state('closed', input, by: by)
      end

      def park(input, by:)
        reason = input[:reason].to_s.empty? ? missing_to_close.first : input[:reason]
        raise Refusals::InvalidInput.new('Nothing is missing: close it', fields: {}) if reason.nil?

        change_state('parked', input.merge(reason: reason), by: by, parked_missing: reason)
      end

      def reopen(input, by:)
        raise Refusals::InvalidInput.new('The job is open', fields: {}) if state == 'open'

        change_state('open', input, by: by, event: 'reopened')
      end

      def cancel(input, by:)
        raise Refusals::InvalidInput.new('Say why it is cancelled', fields: { 'reason' => ['is needed'] }) if input[:reason].to_s.empty?

        change_state('cancelled', input, by: by)
      end

      # @return [Array<String>] what the job and the engine of its unit still lack
      def missing_to_close = Queries::JobRecord.new(self).missing_to_close

      # @return [Wattomneum::Faults::Assessment]
      def assessment = Queries::JobRecord.new(self).assessment

      private

      # The unit's circuit as this job sees it, to measure at and mend.
      def circuit_here = Queries::JobCircuit.new(id, Unit.with_pk!(unit_id).core_system, symptom)

      def change_state(state, input, by:, event: state, parked_missing: nil)
        refuse_ended! unless state == 'open'
        refuse_stale!(input[:lock_version])
        update(state: state, parked_missing: parked_missing,
               ended_at: %w[closed cancelled].include?(state) ? Time.now.utc : nil)
        JobEvent.create(job_id: id, kind: event, reason: input[:reason].to_s, person_id: by.id)
        self
      end

      def refuse_ended!
        return if %w[open parked].include?(state)

        raise Refusals::InvalidInput.new("This job is #{state}: reopen it first", fields: {})
      end

      def refuse_unless_open!
        return if state == 'open'

        raise Refusals::InvalidInput.new("This job is #{state}: reopen it first", fields: {})
      end

      def refuse_stale!(seen_version)
        return if seen_version == lock_version

        raise Refusals::EditConflict.new('Somebody else changed this job meanwhile. Look at it and try again',
                                         details: { theirs: { state: state, complaint: complaint, work: symptom.work, seen: seen,
                                                               lock_version: lock_version } })
      end
    end
  end
end
