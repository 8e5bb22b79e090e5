# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # What of a circuit could alone make something run that should be off, after all that was read: each reading leaves of all causes those
      # that would show it so. And the reading that parts the rest best for its minutes.
      class StrayEvidence
        # A reading that tells what is on from what is off; consumer: whose volts at work it is held against.
        Test = Struct.new(:probe, :consumer, :minutes, keyword_init: true)
        # To get at it and pull it (common practice).
        MINUTES = { 'relay' => 1, 'fuse' => 1, 'wire' => 2, 'connector' => 3, 'switch' => 6, 'control_unit' => 6,
                    **Access::FIRST_TIME_MINUTES.slice('pin', 'splice') }.freeze
        READ_MINUTES = 2
        # A wire is rubbed through less often than a contact sticks (ours).
        RUBBED = 0.3
        private_constant :RUBBED

        # @param kase [Case]
        def initialize(kase)
          @case = kase
          @machine = kase.machine
          @situation = kase.symptom.situation
          @consumer = @machine.consumers.needed(kase.part).first
          @strays = @machine.strays(@consumer, Circuits::Situations.on(@machine.sheet, @situation).sheet_state)
          @bits = {}
        end

        # @return [Circuits::Consumer] what runs
        attr_reader :consumer

        # @return [Test] the volts across it
        def across = @across ||= Test.new(probe: Probes.across(consumer, @situation), consumer: consumer, minutes: READ_MINUTES)

        # @param test [Test] that was read
        # @return [Boolean] whether it has the volts of something that is on
        def on?(test) = over?(@case.reading(test.probe).value, test)

        # @return [Array<Test>] that were read in this round
        def taken = tests.select { |test| @case.reading(test.probe)&.value }

        # @return [Array<Circuits::Questions::Strays::Cause>] that would show all that was read
        def left = @left ||= @strays.causes.select { |cause| taken.all? { |test| shows?(cause, test) == on?(test) } }

        # @return [Array<Circuits::RepairUnit>] that they are mended as, the likeliest first
        def units
          @units ||= left.group_by(&:unit).reject { |unit, _| @case.mended_in_vain?(unit.key) }.sort_by { |_, causes| -weight(causes) }.map(&:first)
        end

        # @return [Test, nil] nil where nothing is left to part, or no reading parts it
        def next_test
          return if units.size < 2

          best = nil
          worth = 0.0
          unread_quickest_first.each do |test|
            break if worth >= MOST_BITS / test.minutes

            next unless bits(test) / test.minutes > worth

            best = test
            worth = bits(test) / test.minutes
          end
          best
        end

        # @return [Array<Circuits::Questions::Strays::Cause>] each of which would do it alone
        def causes = @strays.causes

        # @return [Array<String>] ids of what can be pulled or taken off on the way
        def pulled = @strays.plugs.map(&:id) - [@case.part.id]

        # @return [Array<String>] ids of wires that come off their stud with one whole branch each, none of them with two
        def branches
          one_each = gone_with.reject { |_, gone| several?(gone) }
          one_each.reject { |_, gone| one_each.each_value.any? { |other| within?(gone, other) } }.keys
        end

        # @param opened [Array<String>] ids
        # @return [Test] across what runs, with these off
        def with_off(opened) = Test.new(probe: Readings::Probe.new(**across.probe.to_h, opened: opened), consumer: consumer, minutes: READ_MINUTES)

        # @param unit [Circuits::RepairUnit]
        # @return [Test, nil] with it taken off, what is left of its causes would be gone, and as few others as can be
        def confirming(unit)
          own = left.select { |cause| cause.unit == unit && cause.kind != 'cut' }
          return if own.empty?

          telling = unplugged.select { |test| own.all? { |cause| shows?(cause, test) } }
          telling.min_by { |test| [causes.count { |cause| shows?(cause, test) }, @case.reading(test.probe) ? 0 : 1, test.minutes] }
        end

        # @param unit [Circuits::RepairUnit]
        # @return [Test, nil] straight across it, where all that is left of its causes is that it lies open
        def gap(unit)
          own = left.select { |cause| cause.unit == unit }
          return if own.empty? || own.any? { |cause| cause.kind != 'cut' }

          from, to = outer(own.first.cut)
          Test.new(probe: Readings::Probe.new(by: 'volts', from: from, to: to, situation: @situation), consumer: consumer, minutes: READ_MINUTES)
        end

        # @param cause [Circuits::Questions::Strays::Cause]
        # @param test [Test]
        # @return [Boolean] whether it has its volts there with this cause
        def shows?(cause, test)
          probe = test.probe
          over?(@strays.volt(probe.from, probe.to, cause: cause, opened: probe.opened), test)
        end

        # A yes or no tells no more: what takes longer than could pay is not worked out.
        MOST_BITS = 1.0
        private_constant :MOST_BITS

        private

        # Of several in a row the nodes that no two of them share.
        def outer(indices)
          ends = indices.map { |index| @machine.circuit.owned[index].branch }.flat_map { |one| [one.from, one.to] }
          ends.select { |node| ends.count(node) == 1 }.values_at(0, -1)
        end

        def unread_quickest_first = tests.select { |test| @case.reading(test.probe).nil? }.sort_by(&:minutes)
        def over?(volt, test) = volt.abs > share * @machine.consumers.volt_at_work(test.consumer)
        def share = @case.circumstances.limits.fetch('path.stray_volts_least').value / 100.0

        # What would be gone with each wire off.
        def gone_with
          @gone_with ||= begin
            wires = pulled.select { |id| Circuits::Apart.wire?(id) }
            wires.to_h { |id| [id, touching.select { |cause| shows?(cause, with_off([id])) }] }.reject { |_, gone| gone.empty? }
          end
        end

        def touching = causes.reject { |cause| cause.kind == 'cut' }

        def within?(gone, other) = gone.size < other.size && (gone - other).empty?

        # It holds two others that have nothing in common: it is their way to the stud.
        def several?(gone)
          inner = gone_with.values.select { |other| within?(other, gone) }
          inner.combination(2).any? { |one, other| !one.intersect?(other) }
        end

        def tests = @tests ||= [across, *coils, *unplugged]

        # Whether it is called.
        def coils
          @strays.coils.map { |coil| Test.new(probe: Probes.across(coil, @situation), consumer: coil, minutes: READ_MINUTES) }
        end

        # It is watched at its own pins while something is off; against the posts, where both its wires go through that. What runs is not
        # pulled itself, but a relay, whose socket can be read.
        def unplugged
          pulled = @strays.plugs.reject { |thing| thing.id == @case.part.id && !@case.part.is_a?(Circuits::Parts::Relay) }
          [*pulled, *@strays.ends].product(ends).map do |thing, (from, to)|
            probe = Readings::Probe.new(by: 'volts', from: from, to: to, situation: @situation, opened: [thing.id])
            Test.new(probe: probe, consumer: consumer, minutes: READ_MINUTES + MINUTES.fetch(kind(thing), 6))
          end
        end

        def kind(thing) = Circuits::Apart.kind(thing.id, @machine.sheet)

        def ends
          posts = @case.circumstances
          [[consumer.from, consumer.to], [consumer.from, posts.negative_post], [posts.positive_post, consumer.to]].reject { |pair| pair.any?(&:nil?) }
        end

        # Between units: within one there is nothing to choose.
        def bits(test)
          @bits[test.probe] ||= begin
            on, off = left.partition { |cause| shows?(cause, test) }
            apart = on.map(&:unit).uniq != off.map(&:unit).uniq && on.any? && off.any?
            apart ? Numerics::Entropy.bits(weight(on) / weight(left)) : 0.0
          end
        end

        def weight(causes) = causes.sum { |cause| @machine.repair_units.rate(cause.unit) * (cause.kind == 'stuck' ? 1.0 : RUBBED) }
      end
    end
  end
end
