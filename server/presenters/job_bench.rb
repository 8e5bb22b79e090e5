# frozen_string_literal: true

module Server
  module Presenters
    # The job as it is worked on: what is known, what is suspected, what comes next, what is missing to close.
    class JobBench
      def self.call(record) = new(record).call

      # @param record [Queries::JobRecord]
      def initialize(record)
        @record = record
        @job = record.job
        @assessment = record.assessment
      end

      def call
        { **intake, unit: unit, **said, repairs: repairs, condemnations: condemnations, disturbances: disturbances, events: events,
          left_out: @record.circuit.left_out }
      end

      private

      # What the program says, in the words of this kind of unit.
      def said
        spoken = { next_step: next_step, readings: readings, path: path, suspects: suspects, loops: loops, reads_as: reads_as,
                   bank_remarks: @assessment.bank_review.remarks, missing_to_close: @record.missing_to_close, elements: elements }
        { **InItsWords.call(spoken, system), tests: InItsWords.call(tests, system, also: %i[from to]),
          ladders: InItsWords.call(ladders, system, also: %i[reason]) }
      end

      def system = @assessment.system

      def next_step
        step = @assessment.next_step
        Step.call(step, system.has_isolator ? @record.circuits : nil, @assessment)
            .merge(access: StepAccess.call(@record.access_notes, step, @assessment.machine))
      end

      def symptom = Symptom.call(@job.symptom, @assessment)
      def path = PathLoop.call(@assessment)
      def suspects = (Suspects.call(@record) if @job.state == 'open')

      def intake
        { id: @job.id, number: @job.number, state: @job.state, symptom: symptom, complaint: @job.complaint, seen: @job.seen,
          lamps: @job.lamps.to_a, parked_missing: @job.parked_missing, opened_at: @job.opened_at.iso8601,
          ended_at: @job.ended_at&.iso8601, opened_by: @record.names[@job.opened_by_id], lock_version: @job.lock_version,
          under_machine: under_machine, lockout_owed: @job.state == 'open' && @job.lockout_owed?,
          attempts: @record.attempts.map { |one| one.values.slice(:id, :what, :by_whom, :result, :fitted_without_diagnosis) } }
      end

      def under_machine
        @record.under_machine.map { |one| { person_id: one.person_id, person: @record.names[one.person_id], since: one.since.iso8601 } }
      end

      def unit
        UnitLine.call(@record.unit).merge(
          batteries: @record.batteries.sort.map { |position, battery| { position: position, **Battery.call(battery) } },
          positions: system.positions
        )
      end

      def tests
        read = @assessment.readings.to_set(&:test_key)
        Wattomneum::Readings::Catalogue.for(system).map { |test| TestCard.call(test, system, @assessment.limits, again: read.include?(test.key)) }
      end

      def readings
        @readings ||= @record.readings.map do |row|
          Reading.call(row, judgement: @assessment.judgements[row.id], taken_as: @record.first_judgements[row.id],
                            person: @record.names[row.person_id], fate: fate(row), opened: opened(row), circuit: (circuit if row.between_points?))
        end
      end

      # Put together only where there are readings on it: most jobs have none.
      def circuit = @record.circuit.machine && @record.circuit

      def opened(row)
        @record.opened.fetch(row.id, []).map { |uuid| @record.circuit.apart_id(uuid) }
      end

      def fate(row)
        withdrawn = @record.withdrawals[row.id]
        return "withdrawn: #{withdrawn.reason}" if withdrawn

        return 'superseded' if @record.superseded.include?(row.id)

        'taken long before the job was reopened: read it again' if @record.stale?(row)
      end

      def ladders
        @assessment.ladders.map do |ladder|
          { suspect: ladder.suspect, position: ladder.position, label: ladder.label, complete: ladder.complete?,
            started: ladder.started?, missing: ladder.missing&.label, rungs: ladder.rungs.map { |rung| rung.to_h.except(:position) } }
        end
      end

      # Only what still counts in this round is drawn.
      def loops
        return [] if @assessment.paths.nil?

        between = @assessment.paths.current.map { |one| { from: one.probe.from, to: one.probe.to, state: one.probe.situation, **taken(one) } }
        all = between + counting.map { |one| { test_key: one.test_key, **taken(one) } }
        @assessment.machine.loops.map { |path| Loop.new(path, all, live_positive: !system.positive_ground?).call }
      end

      def counting = @assessment.readings.select { |one| one.position.nil? && @assessment.reading(one.test_key)&.id == one.id }

      def taken(reading)
        { id: reading.id, spoken: reading.spoken, taken_at: reading.taken_at.iso8601, verdict: @assessment.judgements.fetch(reading.id).verdict }
      end

      # A table that still says everything says nothing.
      MOST_READINGS_AS = 3
      private_constant :MOST_READINGS_AS

      def reads_as
        rows = Wattomneum::Cranking::Table.new(@assessment.circumstances, round: @assessment.round).matches.map(&:reads_as).uniq
        rows.size > MOST_READINGS_AS ? [] : rows
      end

      def repairs
        @record.repairs.zip(@assessment.proofs, causes).map do |row, proof, cause|
          { **row.values.slice(:id, :element, :repair_unit, :position, :place, :cause, :action, :parts, :minutes, :temporary, :temporary_reason),
            element_label: row.part_label, temporary_until: row.temporary_until&.iso8601,
            made_permanent_at: row.made_permanent_at&.iso8601, made_at: row.made_at.iso8601, person: @record.names[row.person_id],
            proof: { state: proof.state, owed: proof.owed, before_id: proof.before&.id, after_id: proof.after&.id, **sureness(proof, cause) } }
        end
      end

      # How sure it is that this was the cause, and, where it can be surer, between which points it is read with the repair undone.
      def sureness(proof, cause)
        undo = proof.state == 'proved' && cause.rung != 'undone_and_redone' && @job.state == 'open'
        { cause_rung: cause.rung, cause_words: cause.words, undo: undo ? undo_at(proof.before) : nil }
      end

      def undo_at(before)
        return { test_key: nil, position: nil, probe: ProbeCard.call(before.probe, @assessment) } if before.is_a?(Wattomneum::Readings::PointReading)

        { test_key: before.test_key, position: before.position, probe: nil }
      end

      def causes = Wattomneum::Faults::Experiments.new(@assessment, @record.changes).causes

      def condemnations
        @record.condemnations.map do |row|
          { id: row.id, element_label: row.part_label, position: row.position,
            override_reason: row.override_reason, person: @record.names[row.person_id], at: row.at.iso8601 }
        end
      end

      def disturbances
        @record.disturbances.map { |row| { id: row.id, what: row.what, lockout: row.lockout, put_back_at: row.put_back_at&.iso8601 } }
      end

      def events
        @record.events.map do |row|
          { kind: row.kind, reason: row.reason, person: @record.names[row.person_id], at: row.at.iso8601 }
        end
      end

      def elements
        Wattomneum::Units::Parts.of(system).map { |part| { key: part.key, label: part.label } }
      end
    end
  end
end
