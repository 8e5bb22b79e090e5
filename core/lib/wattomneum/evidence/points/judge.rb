# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # Base of the judges of readings between two points: one reading and its circumstances in, one Judgement out.
      class Judge
        Figure = Quantities::Figure
        # Under this a meter shows nothing that could convict by itself.
        ZERO_VOLT = Preconditions::ZERO_VOLT

        # @param reading [Readings::PointReading]
        # @param circumstances [Circumstances]
        def initialize(reading, circumstances)
          @reading = reading
          @circumstances = circumstances
          @limits_used = []
          @arithmetic = []
        end

        private

        attr_reader :reading, :circumstances

        def probe = reading.probe
        def machine = circumstances.machine
        def value = reading.value
        def limit(id) = remember(circumstances.limits.fetch(id, system_volt: machine.sheet.system_volt)).value
        def sum(line) = @arithmetic << line
        def units_of(path) = machine.repair_units.along(path.steps.map(&:index)).reject { |unit| unit.kind == 'body' }
        def short(node) = machine.points.spoken(node)

        def remember(row)
          @limits_used |= [row]
          row
        end

        def finding(code, verdict, said: {}, **rest)
          Judgement.new(reading_id: reading.id, code: code, verdict: verdict, summary: Findings.sentence(code, **said), limits: @limits_used,
                        arithmetic: @arithmetic, **rest)
        end

        # What points at one thing convicts it; what points at several only says where to go on.
        def pointing_at(units)
          return { convicts: units.map(&:key), rules_in: units.map(&:label) } if units.size == 1

          { rules_in: units.empty? ? [] : ["Between #{short(probe.from)} and #{short(probe.to)}: #{units.size} things that can be at fault"] }
        end

        def clearing(units) = { clears: units.map(&:key), rules_out: [units.size == 1 ? units.first.label : "#{units.size} parts of this path"] }

        # What the sheet predicts stands in for a limit, and is a hint: lengths and loads of a sheet are seldom measured.
        def hint(expected, agrees)
          return finding('hint.none', 'unproven', said: { value: reading.spoken }, weight: 'hint') if expected.nil?

          said = { value: reading.spoken, expected: expected }
          agrees ? finding('hint.as_expected', 'sound', said: said, weight: 'hint') : finding('hint.otherwise', 'watch', said: said, weight: 'hint')
        end
      end
    end
  end
end
