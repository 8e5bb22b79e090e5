# frozen_string_literal: true

module Server
  module Presenters
    # A unit's sheet: loops, batteries, open items. What happened to it comes a page at a time beside it.
    class UnitSheet
      def self.call(unit) = new(Queries::UnitRecord.new(unit), Queries::UnitCircuits.new(unit.id)).call

      # @param record [Queries::UnitRecord]
      # @param circuits [Queries::UnitCircuits]
      def initialize(record, circuits)
        @record = record
        @circuits = circuits
        @unit = record.unit
        @system = @unit.core_system
      end

      def call
        { **UnitLine.call(@unit), yard_id: @unit.yard_id, **Models::UnitClass.names_of(@unit.unit_class),
          positions: @system.positions, **circuit_fields, standing: standing,
          **InItsWords.call({ loops: loops, batteries: batteries, temporary: temporary }, @system),
          past_batteries: past_batteries, notices: @record.notices.map { |one| notice(one) },
          jobs: @record.jobs.map { |job| job_brief(job) },
          circuits: @circuits.fitted.map { |one| Circuits::SheetLine.call(one.version, fitted: one) } }
      end

      private

      # As its line of the board says it.
      def standing
        line = Queries::UnitList.new({ state: ('retired' if @unit.retired_at) }).line(@unit.id)
        Standing.call(line.values, @record.limits)
      end

      def circuit_fields
        @unit.values.slice(:system_volt, :arrangement, :battery_count, :usual_cranking_current_ampere, :alternator_rating_ampere,
                           :has_isolator, :has_sense, :regulator, :neutral_interlock, :grounding, :has_equaliser, :heat_aid,
                           :control_unit, :automatic_start, :matters, :exposure)
      end

      def loops
        machine = @circuits.drawn or return []

        on_loops = machine.loops.flat_map { |path| (path.feed + path.return).flat_map(&:nodes) }.to_set
        taken = @record.last_between.filter_map { |row| between(row, machine, on_loops) } + @record.last_readings.map { |row| tested(row, machine) }
        machine.loops.map { |path| Loop.new(path, taken, live_positive: !@system.positive_ground?).call }
      end

      # A reading whose points the circuit has lost, or that lie off its loops, is in the timeline, not in the drawing.
      def between(row, machine, on_loops)
        from, to = [row.from_place, row.to_place].map { |place| place.node_on(@circuits, machine) }
        { from: from, to: to, **taken(row) } if on_loops.include?(from) && on_loops.include?(to)
      end

      def tested(row, machine)
        core = row.to_core
        probe = core.test.along_circuit? ? core.test.probe(machine.sheet, state: core.state) : nil
        { test_key: (row.test_key if row.position.nil?), from: probe&.from, to: probe&.to, **taken(row) }
      end

      def taken(row) = reading(row).slice(:id, :state, :spoken, :taken_at, :verdict)

      def reading(row)
        judged = @record.judgements[row.id]
        Reading.call(row).merge(verdict: judged&.verdict, job_id: row.job_id, summary: judged&.snapshot&.fetch('summary', nil),
                                judged_by: judged && JudgedBy.call(judged.snapshot, @record.limits))
      end

      def batteries
        current = @record.fittings.select { |fitting| fitting.during.end.nil? }
        @system.positions.map do |position|
          fitting = current.find { |one| one.position == position }
          { position: position, **(fitting ? slot(fitting) : { fitted_at: nil, battery: nil, last: [], outlook: nil }) }
        end
      end

      def slot(fitting)
        battery = fitting.battery
        { fitted_at: fitting.during.begin.iso8601, battery: Battery.call(battery), last: last_battery_readings(battery),
          outlook: BatteryOutlook.call(@record.trend.points(battery.id), limits: @record.limits) }
      end

      def last_battery_readings(battery)
        @record.last_readings.select { |row| row.battery_id == battery.id }.map do |row|
          reading(row).slice(:id, :short, :spoken, :verdict, :taken_at, :summary, :judged_by)
        end
      end

      def past_batteries
        @record.fittings.reject { |fitting| fitting.during.end.nil? }.map do |fitting|
          { position: fitting.position, tag: fitting.battery.tag, from: fitting.during.begin.iso8601,
            to: fitting.during.end.iso8601 }
        end
      end

      def job_brief(job)
        { id: job.id, number: job.number, state: job.state, complaint: job.complaint, opened_at: job.opened_at.iso8601,
          parked_missing: job.parked_missing }
      end

      def notice(one)
        one.values.slice(:id, :what, :place, :severity, :suspects).merge(noticed_at: one.noticed_at.iso8601, until: one.until&.iso8601)
      end

      def temporary
        @record.temporary_repairs.map do |repair|
          { job_id: repair.job_id, element_label: repair.part_label,
            temporary_until: repair.temporary_until.iso8601, reason: repair.temporary_reason }
        end
      end
    end
  end
end
