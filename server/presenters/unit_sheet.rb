# frozen_string_literal: true

module Server
  module Presenters
    # A unit's sheet: loops, batteries, open items, timeline.
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
        { **UnitLine.call(@unit), yard_id: @unit.yard_id, positions: @system.positions, **circuit_fields,
          **InItsWords.call({ loops: loops, batteries: batteries, temporary: temporary, timeline: timeline }, @system),
          past_batteries: past_batteries, jobs: @record.jobs.map { |job| job_brief(job) },
          circuits: @circuits.fitted.map { |one| Circuits::SheetLine.call(one.version, fitted: one) } }
      end

      private

      def circuit_fields
        @unit.values.slice(:system_volt, :arrangement, :battery_count, :usual_cranking_current_ampere, :alternator_rating_ampere,
                           :has_isolator, :has_sense, :regulator, :neutral_interlock, :grounding, :has_equaliser, :heat_aid, :control_unit)
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
      rescue Wattomneum::Error
        nil
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
        { fitted_at: fitting.during.begin.iso8601, battery: Battery.call(fitting.battery),
          last: last_battery_readings(fitting.battery), outlook: outlook(fitting.battery) }
      end

      def last_battery_readings(battery)
        @record.last_readings.select { |row| row.battery_id == battery.id }.map do |row|
          reading(row).slice(:id, :short, :spoken, :verdict, :taken_at, :summary, :judged_by)
        end
      end

      # When health will cross the limit, or why nobody can say yet.
      def outlook(battery)
        tests = @record.battery_tests.fetch(battery.id, [])
        points = tests.map do |row|
          health = Wattomneum::Batteries::Health.percent(measured_ampere: row.value,
                                                         rated_ampere: battery.rating_ampere)
          Wattomneum::Batteries::ReplacementForecast::Point.new(day: row.taken_at.to_f / 86_400,
                                                                health_percent: health, counts: usable?(row))
        end
        forecast = Wattomneum::Batteries::ReplacementForecast.new(points, limits: @record.limits)
        { points: points.map do |point|
          { day: day(point.day), health_percent: point.health_percent.round(1), counts: point.counts }
        end,
          limit_percent: forecast.limit_percent, missing: forecast.missing, crosses_on: day(forecast.crossing_day),
          crosses_between: forecast.crossing_interval&.map { |number| day(number) } }
      end

      # A test taken on a discharged battery, or with its conditions unsaid, is shown but left out of the line.
      def usable?(row)
        judgement = @record.battery_test_judgements[row.id]
        judgement.nil? || %w[valid approximate].include?(judgement.validity)
      end

      def day(number) = number && Time.at(number * 86_400).utc.to_date.iso8601

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

      def temporary
        @record.temporary_repairs.map do |repair|
          { job_id: repair.job_id, element_label: repair.part_label,
            temporary_until: repair.temporary_until.iso8601, reason: repair.temporary_reason }
        end
      end

      def timeline
        (reading_entries + job_entries + repair_entries).sort_by { |entry| entry[:at] }.reverse
      end

      def reading_entries
        @record.recent_readings.map do |row|
          shown = reading(row)
          { kind: 'reading', at: shown[:taken_at], words: [shown[:label], row.position && "battery #{row.position}"].compact.join(', '),
            **shown.slice(:spoken, :verdict, :summary, :judged_by, :job_id), detail: shown[:condition_line] }
        end
      end

      def job_entries
        @record.jobs.map { |job| entry('job', job.opened_at, "Job #{job.number}: #{job.complaint}", job.id) }
      end

      def repair_entries
        @record.recent_repairs.map do |row|
          label = row.part_label
          entry('repair', row.made_at, "#{label} #{row.action}, #{row.cause.tr('_', ' ')}", row.job_id)
        end
      end

      def entry(kind, time, words, job_id)
        { kind: kind, at: time.iso8601, words: words, job_id: job_id, spoken: nil, verdict: nil, summary: nil, judged_by: nil, detail: nil }
      end
    end
  end
end
