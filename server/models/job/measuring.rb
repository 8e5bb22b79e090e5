# frozen_string_literal: true

module Server
  module Models
    class Job < Sequel::Model(:job)
      # Readings of a job: taken, corrected by another, withdrawn; never changed.
      module Measuring
        # States in which something is read that says how a unit starts in the cold.
        FORETELLING = %w[cranking stopped off].freeze

        # @param input [Hash] of Contracts::NewReading
        # @return [Queries::JobRecord] the job as it was judged with it
        def take_reading(input, by:, now:)
          refuse_unless_open!
          refuse_unless_locked_out
          refuse_undone_before_mended(input)
          entry = input[:probe] ? point_entry(input, input[:probe], now) : test_entry(input, input[:test_key], input[:position], now)
          keep_reading(input, entry, by: by, beside: (SameAct.new(input, unit: Unit.with_pk!(unit_id), now: now) if input[:together]))
        end

        # A superseding reading at the same points; the first one stays readable. One with a repair undone stays one.
        #
        # @param reading_id [String]
        # @param input [Hash] of Contracts::Correction
        # @return [Queries::JobRecord]
        def correct_reading(reading_id, input, by:, now:)
          refuse_unless_open!
          wrong = standing_reading!(reading_id)
          input = input.merge(conditions: input.fetch(:conditions, {}).merge(repair_undone: 'yes')) if wrong.repair_undone?
          entry = wrong.between_points? ? point_entry(input, probe_of(wrong), now) : test_entry(input, wrong.test_key, wrong.position, now)
          keep_reading(input, entry, by: by, supersedes_id: wrong.id, correction_reason: input[:reason], taken_at: wrong.taken_at,
                                     battery_id: wrong.battery_id, repairs_before: wrong.repairs_before)
        end

        # @return [Job, Queries::JobRecord]
        def withdraw_reading(reading_id, input, by:)
          refuse_unless_open!
          return self if Withdrawal.where(reading_id: reading_id).any?

          standing_reading!(reading_id)
          Unit.one_after_another([unit_id])
          Withdrawal.create(reading_id: reading_id, reason: input[:reason], person_id: by.id)
          Queries::JobRecord.new(self).tap do |record|
            Judgement.keep_changed(record)
            foresee
          end
        end

        # @return [Boolean] whether automatic start of its unit has to be locked out before anything is read
        def lockout_owed? = Unit.with_pk!(unit_id).automatic_start && Disturbance.where(job_id: id, lockout: true, put_back_at: nil).empty?

        private

        def refuse_unless_locked_out
          return unless lockout_owed?

          raise Refusals::InvalidInput.new('This unit starts by itself: lock out automatic start, say so on the job, then read',
                                           fields: { 'lockout' => ['is needed first'] })
        end

        def refuse_undone_before_mended(input)
          return unless input.dig(:conditions, :repair_undone) == 'yes' && Repair.where(job_id: id).empty?

          raise Refusals::InvalidInput.new('Nothing was mended in this job that could be undone: take it as an ordinary reading',
                                           fields: { 'conditions' => ['no repair to undo'] })
        end

        # What this unit will do on a cold morning.
        def foresee = StartThreshold.work_out(Unit.with_pk!(unit_id))

        def test_entry(input, test_key, position, now)
          ReadingEntry.new(test_key: test_key, position: position, input: input, unit: Unit.with_pk!(unit_id), now: now)
        end

        def point_entry(input, probe, now)
          PointEntry.new(input: input, probe: probe, unit: Unit.with_pk!(unit_id), circuit: circuit_here, now: now)
        end

        # The points of a reading that is corrected, by the names they have now.
        def probe_of(row)
          opened = db[:opened_at_reading].where(reading_id: row.id).select_map(:item_uuid)
          probe = row.to_point(circuit_here, opened: opened).probe
          return probe.to_h unless probe.from.nil? || probe.to.nil?

          raise Refusals::InvalidInput.new('A point of this reading is not on the unit\'s circuit any more: withdraw it instead', fields: {})
        end

        def keep_reading(input, entry, by:, beside: nil, **rest)
          of_job = { job_id: id, person_id: by.id, repairs_before: Repair.where(job_id: id).count }
          rows = [{ id: input[:id], **entry.attributes, **rest }, *beside&.rows]
          kept = db.transaction(savepoint: true) { rows.map { |row| Reading.create(**of_job, **row) } }
          entry.opened.each { |uuid| db[:opened_at_reading].insert(reading_id: kept.first.id, item_uuid: uuid) } if entry.is_a?(PointEntry)
          judged(kept)
        end

        # The unit before its batteries, as whoever fits one of them holds them.
        def judged(readings)
          Unit.one_after_another([unit_id])
          record = Queries::JobRecord.new(self)
          record.suspects.order
          readings.each { |reading| Judgement.keep(record.assessment.judgements.fetch(reading.id)) }
          Judgement.keep_changed(record)
          foresee if FORETELLING.intersect?(readings.map(&:state))
          record
        end

        # @raise [Refusals::EditConflict] if it was corrected meanwhile
        # @raise [Refusals::InvalidInput] if it was withdrawn
        def standing_reading!(reading_id)
          corrected = Reading.where(supersedes_id: reading_id).any?
          raise Refusals::EditConflict, 'Somebody corrected this reading already: look at theirs first' if corrected
          return Reading.with_pk!(reading_id) if Withdrawal.where(reading_id: reading_id).empty?

          raise Refusals::InvalidInput.new('This reading was withdrawn and stays so: take it anew', fields: {})
        end
      end
    end
  end
end
