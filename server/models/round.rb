# frozen_string_literal: true

module Server
  module Models
    # A round of a unit: what is read of it where no job is open for it. Its readings are as good as those of a job.
    class Round
      # @param unit [Unit] held, its yard loaded
      # @param now [Time]
      def initialize(unit, now:)
        @unit = unit
        @now = now
      end

      # @param input [Hash] of Contracts::NewReading
      # @param by [Account]
      # @raise [Refusals::InvalidInput, Refusals::Question]
      def take(input, by:)
        refuse_retired
        refuse_points(input)
        refuse_undone(input)
        entry = ReadingEntry.new(test_key: input[:test_key], position: input[:position], input: input, unit: @unit, now: @now)
        rows = [{ id: input[:id], **entry.attributes }, *beside(input)]
        kept = Reading.db.transaction(savepoint: true) { rows.map { |row| Reading.create(person_id: by.id, repairs_before: 0, **row) } }
        judged(kept)
      end

      # @param reading_id [String]
      # @param reason [String]
      # @param by [Account]
      # @raise [Refusals::NotFound] if no round of this unit holds it
      def withdraw(reading_id, reason, by:)
        reading = Reading.first(id: reading_id, unit_id: @unit.id,
                                job_id: nil) || raise(Refusals::NotFound, 'No such reading on a round of this unit')
        return if Withdrawal.where(reading_id: reading_id).any?

        Withdrawal.create(reading_id: reading_id, reason: reason, person_id: by.id)
        judged([reading], fresh: false)
      end

      private

      def refuse_points(input)
        return if input[:test_key]

        raise Refusals::InvalidInput.new('A round goes by tests: open a job to read between two points', fields: { 'probe' => ['needs a job'] })
      end

      def refuse_retired
        raise Refusals::InvalidInput.new('This unit is retired: bring it back first', fields: {}) if @unit.retired_at
      end

      # A repair is undone for the proof of a job's cause.
      def refuse_undone(input)
        return unless input.dig(:conditions, :repair_undone) == 'yes'

        raise Refusals::InvalidInput.new('A repair is undone on a job only', fields: { 'conditions' => ['no repair to undo'] })
      end

      def beside(input) = input[:together] ? SameAct.new(input, unit: @unit, now: @now).rows : []

      def judged(readings, fresh: true)
        # What waited on a device is judged with what was read on its own day.
        record = Queries::RoundRecord.new(@unit, at: readings.first.taken_at)
        readings.each { |reading| Judgement.keep(record.assessment.judgements.fetch(reading.id)) } if fresh
        Judgement.keep_changed(record)
        BatteryState.work_out(readings.filter_map(&:battery_id))
        StartThreshold.work_out(@unit) if Job::Measuring::FORETELLING.intersect?(readings.map(&:state))
      end
    end
  end
end
