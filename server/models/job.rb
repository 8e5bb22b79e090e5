# frozen_string_literal: true

module Server
  module Models
    # A repair job on one unit: intake, readings, repairs, and how it ended.
    class Job < Sequel::Model(:job)
      unrestrict_primary_key
      plugin :optimistic_locking
      many_to_one :unit, class: 'Server::Models::Unit'
      one_to_many :attempts, class: 'Server::Models::Attempt', order: :what
      one_to_many :events, class: 'Server::Models::JobEvent', order: :at

      STATES = %w[open parked closed cancelled].freeze

      dataset_module do
        def unfinished = where(state: %w[open parked])

        # SQL: select * from job where state in ? [and (opened_at, number) < (those of the last job shown)]
        #      order by opened_at desc, number desc limit one more than a page
        def listed(state, last)
          rows = state.to_s.empty? ? unfinished : where(state: state)
          rows = rows.where { Sequel.lit('(opened_at, number) < (?, ?)', last.opened_at, last.number) } if last
          rows.eager(unit: :yard).order(Sequel.desc(:opened_at), Sequel.desc(:number)).limit(PAGE + 1)
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

        intake = input.slice(:id, :unit_id, :family, :complaint).merge(seen: input.fetch(:seen, ''))
        job = create(**intake, opened_by_id: by.id, lamps: Sequel.pg_array(input.fetch(:lamps, []), :text))
        input.fetch(:attempts, []).each { |attempt| Attempt.create(job_id: job.id, **attempt) }
        JobEvent.create(job_id: job.id, kind: 'opened', person_id: by.id)
        job.keep_sheets
        job.refresh
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
        update(input.except(:lock_version))
        self
      end

      # @param input [Hash] of Contracts::Attempt
      # @return [Job]
      def note_attempt(input)
        refuse_unless_open!
        Attempt.create(job_id: id, **input)
        self
      end

      # @param input [Hash] of Contracts::NewReading
      # @return [Queries::JobRecord] the job as it was judged with it
      def take_reading(input, by:, now:)
        refuse_unless_open!
        keep_reading(input, test_key: input[:test_key], position: input[:position], by: by, now: now)
      end

      # A superseding reading at the same points; the first one stays readable.
      #
      # @param reading_id [String]
      # @param input [Hash] of Contracts::Correction
      # @return [Queries::JobRecord]
      def correct_reading(reading_id, input, by:, now:)
        refuse_unless_open!
        wrong = standing_reading!(reading_id)
        keep_reading(input, test_key: wrong.test_key, position: wrong.position, by: by, now: now,
                            supersedes_id: wrong.id, correction_reason: input[:reason], taken_at: wrong.taken_at,
                            battery_id: wrong.battery_id, repairs_before: wrong.repairs_before)
      end

      # @return [Job, Queries::JobRecord]
      def withdraw_reading(reading_id, input, by:)
        refuse_unless_open!
        return self if Withdrawal.where(reading_id: reading_id).any?

        standing_reading!(reading_id)
        Withdrawal.create(reading_id: reading_id, reason: input[:reason], person_id: by.id)
        Queries::JobRecord.new(self).tap { |record| Judgement.keep_changed(record) }
      end

      # @param input [Hash] of Contracts::NewRepair
      # @return [Job]
      def record_repair(input, by:)
        refuse_unless_open!
        check_element(input)
        check_failing_reading(input[:failing_reading_id])
        repair = Repair.create(**input.except(:disturbed), job_id: id, person_id: by.id)
        input.fetch(:disturbed, []).reject(&:empty?).each do |what|
          Disturbance.create(id: SecureRandom.uuid, job_id: id, repair_id: repair.id, what: what)
        end
        self
      end

      # @param input [Hash] of Contracts::NewDisturbance
      # @return [Job]
      def note_disturbance(input)
        refuse_unless_open!
        Disturbance.create(job_id: id, **input)
        self
      end

      # @param input [Hash] of Contracts::NewCondemnation
      # @return [Job]
      # @raise [Wattomneum::RefusedError] if the ladder is not complete and no lead overrides it
      def condemn(input, by:)
        refuse_unless_open!
        ladder = assessment.ladders.find { |one| one.suspect == input[:element] && one.position == input[:position] }
        if ladder.nil?
          raise Refusals::InvalidInput.new('No such suspect on this unit',
                                           fields: { 'element' => ['not on this unit'] })
        end

        unless ladder.complete? || input[:override_reason]
          raise Wattomneum::RefusedError,
                "#{ladder.label} is not proved bad: #{ladder.missing.label.downcase} is missing"
        end

        return self if condemned_this_round?(input)

        Condemnation.create(id: input[:id], job_id: id, person_id: by.id, element: input[:element], position: input[:position],
                            override_reason: input[:override_reason], battery_id: fitted_battery_id(input[:position]),
                            ladder: Sequel.pg_jsonb(ladder.rungs.map(&:to_h)))
        self
      end

      # @raise [Refusals::InvalidInput] with the missing points
      def close(input, by:)
        missing = assessment.missing_to_close
        if missing.any?
          raise Refusals::InvalidInput.new("Not yet: #{missing.join('. ')}",
                                           fields: { 'missing' => missing })
        end

        change_state('closed', input, by: by)
      end

      def park(input, by:)
        reason = input[:reason].to_s.empty? ? assessment.missing_to_close.first : input[:reason]
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

      # @return [Wattomneum::Faults::Assessment]
      def assessment = Queries::JobRecord.new(self).assessment

      private

      def keep_reading(input, test_key:, position:, by:, now:, **rest)
        entry = ReadingEntry.new(test_key: test_key, position: position, input: input, unit: Unit.with_pk!(unit_id),
                                 now: now)
        reading = db.transaction(savepoint: true) do
          Reading.create(id: input[:id], job_id: id, person_id: by.id, repairs_before: Repair.where(job_id: id).count,
                         **entry.attributes, **rest)
        end
        record = Queries::JobRecord.new(self)
        Judgement.keep(record.assessment.judgements.fetch(reading.id))
        Judgement.keep_changed(record)
        record
      end

      # Said twice, by two people or a second tap, it is condemned once; after a repair it is another part.
      def condemned_this_round?(input)
        last_repair = Repair.where(job_id: id).max(:made_at)
        known = Condemnation.where(job_id: id, element: input[:element], position: input[:position])
        known = known.where { at > last_repair } if last_repair
        known.any?
      end

      # @raise [Refusals::EditConflict] if it was corrected meanwhile
      # @raise [Refusals::InvalidInput] if it was withdrawn
      def standing_reading!(reading_id)
        raise Refusals::EditConflict, 'Somebody corrected this reading already: look at theirs first' if Reading.where(supersedes_id: reading_id).any?
        return Reading.with_pk!(reading_id) if Withdrawal.where(reading_id: reading_id).empty?

        raise Refusals::InvalidInput.new('This reading was withdrawn and stays so: take it anew', fields: {})
      end

      def check_element(input)
        system = Unit.with_pk!(unit_id).core_system
        fits = system.elements.any? { |element| element.key == input[:element] }
        unless fits
          raise Refusals::InvalidInput.new('This unit has no such part',
                                           fields: { 'element' => ['not on this unit'] })
        end
        return unless input[:element] == 'battery' && !system.positions.include?(input[:position])

        raise Refusals::InvalidInput.new('Say which battery', fields: { 'position' => ['say which battery'] })
      end

      def check_failing_reading(reading_id)
        return if reading_id.nil? || Reading.where(id: reading_id, job_id: id).any?

        raise Refusals::InvalidInput.new('That reading is not of this job',
                                         fields: { 'failing_reading_id' => ['not of this job'] })
      end

      def fitted_battery_id(position)
        position && Fitting.current.where(unit_id: unit_id, position: position).get(:battery_id)
      end

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
                                         details: { theirs: { state: state, complaint: complaint, family: family, seen: seen,
                                                               lock_version: lock_version } })
      end
    end
  end
end
