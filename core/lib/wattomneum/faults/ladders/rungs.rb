# frozen_string_literal: true

module Wattomneum
  module Faults
    module Ladders
      # How the readings of a job climb the rungs of a bracket. Every way gives a state and what it goes by.
      class Rungs
        NOT_MEASURED = ['open', 'Not measured'].freeze
        NOT_OF_ONE_MOMENT = 'Its volts were there; what did the engine do meanwhile?'
        NOT_RIGHT_AFTER = 'It comes and goes: turn it by hand right after it failed'
        UNSAID = [NOT_OF_ONE_MOMENT, NOT_RIGHT_AFTER].freeze
        OWN = 'No ladder of an alternator holds here: its setpoint and its maker\'s own test decide'
        OF_CONVERTER = 'No test of an alternator holds for a converter: read the volts at its input, then go by its maker\'s own test'
        private_constant :NOT_MEASURED, :OWN, :OF_CONVERTER

        # @param assessment [Assessment]
        # @param bracket [Brackets::Bracket]
        # @param position [String, nil] of a battery
        def initialize(assessment, bracket, position)
          @assessment = assessment
          @bracket = bracket
          @position = position
        end

        # @return [Array<ProofLadder::Rung>] those that this unit has
        def all = @bracket.rungs.map { |key| [key, Brackets::RUNGS.fetch(key)] }.filter_map { |key, row| rung(key, row) if on_this_unit?(row) }

        private

        attr_reader :assessment

        def on_this_unit?(row)
          return assessment.system.bank? if row['bank']
          return !assessment.paths&.field.nil? if row['by'] == 'field'
          return true unless row['only']

          fits?(row['tests'].first)
        end

        def fits?(test) = Readings::Catalogue.fetch(test).fits?(assessment.system) && place?(test)

        # What is asked of a lamp needs one on the unit's circuit.
        def place?(test)
          from = Readings::Catalogue.fetch(test).from
          from != 'charge_lamp' || assessment.machine.nil? || assessment.machine.sheet.places.key?(from)
        end

        def rung(key, row)
          state, reason = public_send(row.fetch('by', 'sound'), row)
          tests = row['by'] == 'evidence' ? [evidence_test] : row.fetch('tests', [])
          ProofLadder::Rung.new(key: row.fetch('key', key), label: label(row), state: state, reason: reason, tests: tests, position: @position)
        end

        def label(row)
          row['label'].gsub(/\{([\w.]+)\}/) { Quantities::Figure.percent(assessment.limits.fetch(Regexp.last_match(1)).value) }
        end

        # What looks at the whole unit stands in no battery's place.
        def judgement(test) = assessment.judgement(test, position: Readings::Catalogue.fetch(test).per_battery? ? @position : nil)
        def judgements(row) = row['tests'].filter_map { |test| judgement(test) }

        def outcome(judgement)
          return NOT_MEASURED if judgement.nil?
          return ['open', judgement.summary] unless judgement.usable? && judgement.verdict != 'unproven'

          [judgement.act? ? 'failed' : 'done', judgement.summary]
        end

        def of_one_moment?(reading) = assessment.engine.of_one_moment?(reading)

        public

        # @!group Ways to climb: of the row of a rung, its state and why

        # A reading of its test that is sound.
        def sound(row) = outcome(judgement(row['tests'].first))

        # Read, whatever it says.
        def read(row)
          found = judgement(row['tests'].first)
          found&.usable? ? ['done', found.summary] : NOT_MEASURED
        end

        # Something that has to fail.
        def fails(row)
          found = judgements(row).select(&:usable?)
          failing = found.find(&:act?)
          return ['done', failing.summary] if failing

          found.any? ? ['failed', found.first.summary] : ['open', 'Not tested']
        end

        # The complaint itself.
        def seen(row)
          found = judgement(row['tests'].first)
          return ['open', 'Not seen'] if found.nil?

          found.act? ? ['done', found.summary] : ['failed', 'It cranks now: nothing to condemn']
        end

        # Volts that were there in another moment than the engine stood prove nothing against a starter.
        def signal(row)
          found = judgement(row['tests'].first)
          found&.sound? && !of_one_moment?(assessment.reading(row['tests'].first)) ? ['open', NOT_OF_ONE_MOMENT] : outcome(found)
        end

        # Full volts across a starter that draws nothing stand in for the drops: the cables then stay unproven until loaded.
        def path(row)
          found = judgement(row['tests'].first)
          return outcome(found) unless @bracket.key == 'open' && found&.would_be == 'sound'

          ['done', 'Full volts at the starter; the cables stay unproven until loaded']
        end

        # What is missing now is not lost in a drop that is small at what flows now.
        def at_what_flows(row)
          found = judgement(row['tests'].first)
          return sound(row) unless Evidence::Points::DropJudge::WANTS_CURRENT.include?(found&.code)

          ['done', "#{found.summary}: it does not explain what is missing now"]
        end

        # Nothing says that volts are lost there; what was not read does not either.
        def unless_fails(row)
          found = judgement(row['tests'].first)
          return ['done', 'Nothing speaks against it'] if found.nil?

          [found.act? && found.usable? ? 'failed' : 'done', found.summary]
        end

        # What jams now and then turns free an hour later.
        def engine(row)
          state, reason = sound(row)
          later = state == 'done' && assessment.engine.goes? &&
                  assessment.reading(row['tests'].first).conditions.said('right_after_it_failed') != :yes
          later ? ['open', NOT_RIGHT_AFTER] : [state, reason]
        end

        # What speaks against the suspect itself. That nothing else is left does not.
        def evidence(_row)
          return proved(coil.judgement, coil.reading) if @bracket.evidence == 'coil'

          found = judgement(evidence_test)
          return proved(found, assessment.reading(evidence_test)) if @bracket.sign
          return ['failed', found.summary] if found&.sound?

          ['open', found ? found.summary : 'Stud to case while it is called, not measured']
        end

        # Each battery by itself; the worst of them speaks.
        def batteries(row)
          states = assessment.system.positions.map { |position| of_battery(row['tests'].reverse, position) }
          states.find { |state, _| state == 'failed' } || states.find { |state, _| state == 'open' } || states.first
        end

        # Where a regulator stands outside, it and all that it needs are cleared by the volts that it puts across the field.
        def field(_row)
          found = assessment.paths.judgement(Paths::Probes.across(assessment.paths.field, 'key_on'))
          return NOT_MEASURED if found.nil?

          [found.code == 'load.has_volts' ? 'done' : 'failed', found.summary]
        end

        # Its feed is whole, and it draws nothing: the volts stand on its own terminal. Nothing there is the plug between.
        def field_open(_row)
          probe = assessment.machine && Paths::Probes.excited(assessment.machine.sheet) or return NOT_MEASURED
          reading = assessment.paths.reading(probe) or return NOT_MEASURED
          least = assessment.limits.fetch('charging.field_open_share').value / 100.0 * assessment.system.system_volt
          shown = "#{reading.spoken} at its exciter terminal, key on"
          reading.value.abs >= least ? ['done', shown] : ['failed', "#{shown}: the plug or its wire"]
        end

        # An output test that failed, or no rise at all. The height of the voltage alone condemns nothing, and what gives its rating gives.
        def output(row)
          found = judgements(row).select(&:usable?)
          return NOT_MEASURED if found.empty?

          rating = judgement(row['tests'].first)
          return ['failed', rating.summary] if rating&.usable? && rating.sound?

          failing = found.find { |one| one.act? && (one.figures.key?(:rise_volt) || one.convicts.include?('alternator')) }
          return ['done', failing.summary] if failing

          found.any?(&:act?) ? ['open', 'Its height alone condemns nothing: test the output by clamp'] : ['failed', 'It charges: nothing to condemn']
        end

        # A lamp that is not lit with the key on tells nothing by staying dark.
        def lamp_apart(row)
          return ['done', 'No lamp lit that could find ground elsewhere'] if assessment.reading('charge_lamp_key_on')&.observation == 'dark'

          sound(row)
        end

        # By its acid before its volts.
        def charged(row)
          hydrometer = judgement('hydrometer')
          return ['done', hydrometer.summary] if hydrometer&.convicts&.include?('battery')

          found = row['tests'].reverse.filter_map { |test| judgement(test) }.find(&:usable?)
          return NOT_MEASURED if found.nil?

          [found.sound? ? 'done' : 'open', found.summary]
        end

        # What has to be said beside a reading of its test.
        def said(row)
          readings = row['tests'].filter_map { |test| assessment.reading(test, position: @position) }
          return ['open', 'Not tested'] if readings.empty?

          readings.any? { |reading| reading.conditions.said(row['condition']) == :yes } ? %w[done Said] : ['open', 'Not said']
        end

        # Nothing that is read here climbs it.
        def own_test(_row) = ['open', assessment.system.converter? ? OF_CONVERTER : OWN]

        # @!endgroup

        private

        def coil = StarterCoil.new(assessment)
        def evidence_test = @bracket.evidence && @bracket.evidence != 'coil' ? @bracket.evidence : 'starter_terminal'

        def proved(judgement, reading)
          @bracket.key == 'spins' || of_one_moment?(reading) ? ['done', judgement.summary] : ['open', NOT_OF_ONE_MOMENT]
        end

        def of_battery(tests, position)
          state, reason = outcome(tests.filter_map { |test| assessment.judgement(test, position: position) }.find(&:usable?))
          [state, "#{position}: #{reason}"]
        end
      end
    end
  end
end
