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

        # @return [Systems::ElectricalSystem]
        def system = tests.system

        # @return [String] node of the post that everything is counted from
        def negative_post = machine.sheet.places['negative_post'] || machine.sheet.reference

        # @return [String, nil] node of the post that feeds everything; nil where no battery stands on the sheet
        def positive_post = machine.sheet.places['positive_post'] || battery_plus

        # @param probe [Readings::Probe]
        # @return [Circuits::Questions::PathFinder] of its situation
        def paths(probe) = machine.paths(state(probe))

        # @param probe [Readings::Probe]
        # @return [String] key state of the circuit
        def state(probe) = Circuits::Situations.on(machine.sheet, probe.situation).sheet_state

        # @param probe [Readings::Probe]
        # @return [Circuits::Questions::SoundReading::Shown]
        def sound(probe) = machine.sound_reading.call(probe)

        # @return [Circuits::Consumers]
        def consumers = machine.consumers

        # The posts that this reading is held against: said beside it, or the last that was read in its situation and round.
        #
        # @param reading [Readings::PointReading]
        # @return [Float, nil]
        def posts_volt(reading)
          said = reading.conditions.number('posts_now_volt')
          said || posts_readings.reverse.find { |one| beside?(one, reading) }&.value
        end

        # @param reading [Readings::PointReading]
        # @return [Float] posts of the sound circuit in its situation
        def sound_posts_volt(reading) = volt_between(positive_post, negative_post, reading.probe)

        # How much of its current flowed in a path while this was read: by clamp, or by the volts across a consumer that hangs on it.
        #
        # @param reading [Readings::PointReading]
        # @param units [Array<Circuits::RepairUnit>] along the path
        # @param sound_ampere [Float] that the path carries in a sound circuit
        # @return [Float, nil] ratio; nil where nobody knows
        def flow_share(reading, units, sound_ampere)
          clamped = reading.conditions.number('current_ampere')
          return clamped / sound_ampere if clamped && sound_ampere.positive?

          shares = consumers.all.filter_map { |consumer| share_of(consumer, reading) if hangs_on?(consumer, units, reading.probe) }
          shares.max
        end

        # @param one [String] node
        # @param other [String] node
        # @param probe [Readings::Probe]
        # @return [Float] volts of the sound circuit, 0 where nothing leads from one to the other
        def volt_between(one, other, probe)
          solution = machine.settled.fetch(state(probe)).solution
          from, to = [one, other].map { |node| machine.circuit.node(node) }
          solution.connected?(from, to) ? solution.volt(from) - solution.volt(to) : 0.0
        end

        # @param consumer [Circuits::Consumer]
        # @param units [Array<Circuits::RepairUnit>]
        # @param probe [Readings::Probe]
        # @return [Boolean] whether these carry its current
        def hangs_on?(consumer, units, probe)
          @hangs ||= {}
          along = @hangs[[consumer.key, probe.situation]] ||= keys_around(consumer, probe)
          units.all? { |unit| along.include?(unit.key) }
        end

        # @param consumer [Circuits::Consumer]
        # @param reading [Readings::PointReading]
        # @return [Readings::PointReading, nil] what was seen of it in this situation and round
        def seen(consumer, reading)
          id = consumer.from.split(':', 2).first
          readings.reverse.find { |one| one.probe.by == 'seen' && one.probe.from.split(':', 2).first == id && beside?(one, reading) }
        end

        private

        def battery_plus = machine.sheet.parts.grep(Circuits::Parts::Battery).last&.node('+')
        def beside?(one, other) = one.round == other.round && one.probe.situation == other.probe.situation

        def posts_readings
          readings.select { |one| one.probe.by == 'volts' && [one.probe.from, one.probe.to] == [positive_post, negative_post] }
        end

        def share_of(consumer, reading)
          across = readings.reverse.find do |one|
            one.probe.by == 'volts' && [one.probe.from, one.probe.to].sort == [consumer.from, consumer.to].sort && beside?(one, reading)
          end
          sound = volt_between(consumer.from, consumer.to, reading.probe).abs
          across.value.abs / sound if across&.value && sound > LEAST_VOLT
        end

        LEAST_VOLT = 0.5
        private_constant :LEAST_VOLT

        def keys_around(consumer, probe)
          finder = paths(probe)
          steps = [finder.to_supply(consumer.from), finder.to_ground(consumer.to)].select(&:complete).flat_map(&:steps)
          machine.repair_units.along(steps.map(&:index)).to_set(&:key) | links_of_bank(probe)
        end

        # What joins the batteries carries what everything takes.
        def links_of_bank(probe)
          @links_of_bank ||= machine.sheet.wires.select { |wire| [wire.from, wire.to].all? { |node| battery?(node) } }.flat_map do |wire|
            machine.repair_units.along(paths(probe).between(wire.from, wire.to).steps.map(&:index)).map(&:key)
          end
        end

        def battery?(node) = machine.sheet.part(node.split(':', 2).first).is_a?(Circuits::Parts::Battery)
      end
    end
  end
end
