# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # Ohms between two points of a dead circuit: they convict what is open or shorted and never clear a joint.
      class OhmsJudge < Judge
        # @return [Judgement]
        def call
          expected = circumstances.sound(probe)
          objection = objections.first
          return void(objection) if objection

          consumer = circumstances.uses.consumers.across(probe.from, probe.to)
          return load_ohms(consumer, expected) if consumer
          return insulation if expected.over_range

          path_ohms(expected)
        rescue RefusedError
          live
        end

        private

        def objections
          ResistancePreconditions.objections(resistance_ohm: value, voltage_across_volt: reading.conditions.number('voltage_across_volt'),
                                             reversed_ohm: reading.conditions.number('reversed_ohm'), limits: circumstances.limits)
        end

        def live
          volt = circumstances.volt_between(probe.from, probe.to, probe)
          finding('ohms.live', 'unproven', said: { expected: Figure.volt(volt) }, validity: 'void', weight: 'none',
                                           instead: 'Isolator open, both ends free, 0 V across them: then ohms')
        end

        def void(objection)
          Judgement.new(reading_id: reading.id, code: 'ohms.live', verdict: 'unproven', validity: 'void', weight: 'none', summary: objection,
                        instead: 'Free both ends, switch off, prove 0 V, measure again')
        end

        def path = @path ||= circumstances.paths(probe).between(probe.from, probe.to)
        def path_words = "#{short(probe.from)} to #{short(probe.to)}"

        # Nothing leads there by the sheet.
        def insulation
          said = { value: reading.spoken, point: short(probe.from) }
          return finding('ohms.insulated', 'sound', said: said) if reading.overload || value > limit('path.short_ohm_least')

          finding('ohms.short', 'act', said: said, figures: { ohm: value }, rules_in: ["A short to ground at #{short(probe.from)} or along its wire"])
        end

        def path_ohms(expected)
          units = units_of(path)
          return finding('ohms.open', 'act', said: { path: path_words }, **pointing_at(units)) if reading.overload && path.plain?
          return by_prediction(expected) if reading.overload || !path.plain?

          most = [expected.value * 3, WireOhmsJudge::STEPS_TO_TRUST * WireOhmsJudge::METER_RESOLUTION_OHM].max
          said = { value: reading.spoken, path: path_words, expected: Figure.ohm(expected.value) }
          return finding('ohms.high', 'act', said: said, figures: { ohm: value }, **pointing_at(units)) if value > most

          finding('ohms.whole', 'unproven', said: said, weight: 'hint', would_be: 'sound', instead: 'Read the drop under load')
        end

        def by_prediction(expected)
          return hint('OL', reading.overload) if expected.over_range
          return hint(Figure.ohm(expected.value), false) if reading.overload

          within = limit('path.hint_within') / 100.0
          hint(Figure.ohm(expected.value), (value - expected.value).abs <= [within * expected.value, WireOhmsJudge::METER_RESOLUTION_OHM * 2].max)
        end

        def load_ohms(consumer, expected)
          return by_prediction(expected) unless probe.opened.any? && !expected.over_range
          return finding('ohms.open', 'act', said: { path: consumer.label }, **its_unit(consumer)) if reading.overload

          share = value / expected.value
          said = { value: reading.spoken, load: consumer.label, expected: Figure.ohm(expected.value), share: Figure.percent(100 * share) }
          sound = share.between?(limit('path.load_ohm_low') / 100.0, limit('path.load_ohm_high') / 100.0)
          sound ? finding('ohms.load_sound', 'sound', said: said) : finding('ohms.load_off', 'act', said: said, **its_unit(consumer))
        end

        def its_unit(consumer)
          unit = machine.repair_units.fetch(consumer.unit)
          unit.laddered ? { rules_in: [unit.label] } : { convicts: [unit.key], rules_in: [unit.label] }
        end
      end
    end
  end
end
