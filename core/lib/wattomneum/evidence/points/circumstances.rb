# frozen_string_literal: true

module Wattomneum
  module Evidence
    # Readings between two points of the unit's circuit, judged on the circuit itself.
    module Points
      # What else is known when one reading between two points is judged: the unit's circuit, the other readings, the limits in force.
      class Circumstances
        attr_reader :machine, :limits, :readings, :tests

        # @param machine [Circuits::Machine] the unit's sound circuit
        # @param readings [Array<Readings::PointReading>] all that stand
        # @param tests [Evidence::Circumstances] of the tests of the catalogue
        def initialize(machine:, readings:, tests:)
          @machine = machine
          @readings = readings.sort_by(&:taken_at)
          @tests = tests
          @limits = tests.limits
        end

        # @return [Units::ElectricalSystem]
        def system = tests.system

        # @return [String] node of the post that everything is counted from
        def negative_post = machine.sheet.negative_post

        # @return [String, nil] node of the post that feeds everything; nil where no battery stands on the sheet
        def positive_post = machine.sheet.positive_post

        # @param probe [Readings::Probe]
        # @return [Boolean] whether it reads the bank from post to post, held the right way round
        def posts?(probe) = probe.from == positive_post && probe.to == negative_post

        # @param probe [Readings::Probe]
        # @return [Circuits::Questions::PathFinder] of its situation
        def paths(probe) = machine.paths(state(probe))

        # @param probe [Readings::Probe]
        # @return [String] key state of the circuit
        def state(probe) = Circuits::Situations.on(machine.sheet, probe.situation).sheet_state

        # @param probe [Readings::Probe]
        # @return [Circuits::Questions::SoundReading::Shown]
        def sound(probe) = machine.sound_reading.call(probe)

        # @return [Loops] what of the circuit is the starter's and the alternator's
        def loops = @loops ||= Loops.new(self)

        # @return [Uses] what hangs on the circuit, and what of its current is known to have flowed
        def uses = @uses ||= Uses.new(self)

        # The posts that this reading is held against: said beside it, or the last that was read in its situation and round.
        #
        # @param reading [Readings::PointReading]
        # @return [Float, nil]
        def posts_volt(reading)
          reading.conditions.number('posts_now_volt') || posts_in(reading.probe.situation, reading.round)
        end

        # @param situation [String]
        # @param round [Integer]
        # @return [Float, nil] the last that was read of the posts in this situation and round
        def posts_in(situation, round)
          read = posts_readings.reverse.find { |one| one.round == round && one.probe.situation == situation }
          read&.value || posts_tested(situation, round)
        end

        # @param reading [Readings::PointReading]
        # @return [Float] posts of the sound circuit in its situation
        def sound_posts_volt(reading) = volt_between(positive_post, negative_post, reading.probe)

        # @param one [String] node
        # @param other [String] node
        # @param probe [Readings::Probe]
        # @return [Float] volts of the sound circuit, 0 where nothing leads from one to the other
        def volt_between(one, other, probe)
          solution = machine.settled.fetch(state(probe)).solution
          from, to = [one, other].map { |node| machine.circuit.node(node) }
          solution.connected?(from, to) ? solution.volt(from) - solution.volt(to) : 0.0
        end

        private

        def posts_readings
          readings.select { |one| one.probe.by == 'volts' && posts?(one.probe) }
        end

        # By the tests of the posts: each stands for one situation; at rest they do not wear off with a repair.
        def posts_tested(situation, round)
          case situation
          when 'cranking' then tests.readings.reverse.find { |one| one.test_key == 'posts_cranking' && one.round == round }&.value
          when 'stopped' then tests.latest('posts_rest', round: round)&.value
          end
        end
      end
    end
  end
end
