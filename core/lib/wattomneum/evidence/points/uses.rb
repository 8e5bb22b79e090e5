# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # What hangs on a circuit, what it was seen to do, and how much of its current is known to have flowed.
      class Uses
        # Under this nothing is called for across it.
        LEAST_VOLT = 0.5
        private_constant :LEAST_VOLT

        # @param circumstances [Circumstances]
        def initialize(circumstances)
          @circumstances = circumstances
          @machine = circumstances.machine
          @around = {}
        end

        # @return [Circuits::Consumers]
        def consumers = @machine.consumers

        # How much of its current flowed in a path while this was read: by clamp, or by what hangs on it.
        #
        # @param reading [Readings::PointReading]
        # @param units [Array<Circuits::RepairUnit>] along the path
        # @param sound_ampere [Float] that the path carries in a sound circuit
        # @return [Float, nil] ratio; nil where nobody knows
        def flow_share(reading, units, sound_ampere)
          clamped = reading.conditions.number('current_ampere')
          return clamped / sound_ampere if clamped && sound_ampere.positive?

          hanging = consumers.all.select { |consumer| hangs_on?(consumer, units, reading.probe) }
          hanging.filter_map { |consumer| share_of(consumer, reading.probe, reading.round) }.max
        end

        # @param consumer [Circuits::Consumer]
        # @param units [Array<Circuits::RepairUnit>]
        # @param probe [Readings::Probe]
        # @return [Boolean] whether these carry its current
        def hangs_on?(consumer, units, probe)
          along = @around[[consumer.key, probe.situation]] ||= keys_around(consumer, probe)
          units.all? { |unit| along.include?(unit.key) }
        end

        # @param consumer [Circuits::Consumer]
        # @param probe [Readings::Probe] in whose situation
        # @param round [Integer]
        # @return [Float, nil] what flowed of its sound current: by the volts across it, or because it was seen to work; nil where nobody knows
        def share_of(consumer, probe, round)
          by_volts(consumer, probe, round) || (1.0 if works?(consumer, probe, round))
        end

        # @param consumer [Circuits::Consumer]
        # @param probe [Readings::Probe] in whose situation
        # @param round [Integer]
        # @return [String, nil] what it was seen to do: a key of the choices of "seen"
        def seen(consumer, probe, round)
          id = consumer.part_id
          found = @circumstances.readings.reverse.find do |one|
            one.probe.by == 'seen' && one.probe.from.split(':', 2).first == id && beside?(one, probe, round)
          end
          return found.observation if found

          consumer.unit == Circuits::RepairUnits::STARTER ? solenoid_as_heard(probe, round) : lamp_as_seen(id, probe, round)
        end

        # @return [Circuits::Part, nil] the charge lamp, where the circuit draws one
        def charge_lamp = @machine.sheet.part(@machine.sheet.places['charge_lamp'].to_s.split(':', 2).first.to_s)

        # @param round [Integer]
        # @return [String, nil] what the charge lamp did with the key on
        def charge_lamp_seen(round) = tested('charge_lamp_key_on', round)

        # @param round [Integer]
        # @return [String, nil] what it did with the key on and the alternator unplugged
        def charge_lamp_apart(round) = tested('charge_lamp_apart', round)

        private

        def beside?(one, probe, round) = one.round == round && one.probe.situation == probe.situation

        def tested(key, round)
          @circumstances.tests.readings.reverse.find { |one| one.test_key == key && one.round == round }&.observation
        end

        # The test of the charge lamp says what it was seen to do with the key on.
        def lamp_as_seen(id, probe, round)
          return unless charge_lamp&.id == id && probe.situation == 'key_on'

          { 'lit' => 'works', 'dark' => 'dead' }[charge_lamp_seen(round)]
        end

        # A starter that clicks had its solenoid pulled in; one that is silent had not.
        def solenoid_as_heard(probe, round)
          did = tested('cranking_behaviour', round) if probe.situation == 'cranking'
          did && (did == 'silent' ? 'dead' : 'works')
        end

        # What was seen to work had its current.
        def works?(consumer, probe, round) = seen(consumer, probe, round) == 'works'

        def by_volts(consumer, probe, round)
          across = last_volts[[round, probe.situation, *[consumer.from, consumer.to].minmax]]
          sound = @circumstances.volt_between(consumer.from, consumer.to, probe).abs
          across.value.abs / sound if across&.value && sound > LEAST_VOLT
        end

        # The last that was read between two points, whichever way round.
        def last_volts
          @last_volts ||= @circumstances.readings.select { |one| one.probe.by == 'volts' }
                                        .to_h { |one| [[one.round, one.probe.situation, *[one.probe.from, one.probe.to].minmax], one] }
        end

        def keys_around(consumer, probe)
          finder = @circumstances.paths(probe)
          steps = [finder.to_supply(consumer.from), finder.to_ground(consumer.to)].select(&:complete).flat_map(&:steps)
          @machine.repair_units.along(steps.map(&:index)).to_set(&:key) | links_of_bank(probe)
        end

        # What joins the batteries carries what everything takes.
        def links_of_bank(probe)
          @links_of_bank ||= @machine.sheet.wires.select { |wire| [wire.from, wire.to].all? { |node| battery?(node) } }.flat_map do |wire|
            @machine.repair_units.along(@circumstances.paths(probe).between(wire.from, wire.to).steps.map(&:index)).map(&:key)
          end
        end

        def battery?(node) = @machine.sheet.part(node.split(':', 2).first).is_a?(Circuits::Parts::Battery)
      end
    end
  end
end
