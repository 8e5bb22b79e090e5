# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # Something runs when it should be off: which contact stays closed, or which wire is fed past it. Whether it is called is read at the
      # coils; what it is fed through comes off, one piece at a time, and what still has its volts then is fed otherwise.
      class StaysOn
        MOST_NAMED = 3
        TITLES = { 'stuck' => 'Stays closed', 'live' => 'Touches a live one', 'grounded' => 'Touches the metal' }.freeze
        NO_ONE = 'No one fault of this circuit would show all that was read: a reading may be wrong, or there are two'
        private_constant :MOST_NAMED, :TITLES, :NO_ONE

        # @param kase [Case]
        # @param order [Order] makes the steps
        def initialize(kase, order)
          @case = kase
          @order = order
          @machine = kase.machine
          @evidence = StrayEvidence.new(kase)
        end

        # @return [Step]
        def call
          across = evidence.across
          return @order.measure(across.probe, why: first_why) if @case.reading(across.probe).nil?
          return by_its_own if settled?(across)

          test = evidence.next_test
          return @order.measure(test.probe, why: why(test)) if test

          units.one? ? found : between_several
        end

        # @return [Circuits::RepairUnit, nil] what alone would show all that was read, once it was seen to be fed
        def only
          units.first if @case.reading(evidence.across.probe) && !settled?(evidence.across) && units.one?
        end

        private

        attr_reader :evidence

        def first_why = 'Has it volts, or is it stuck by itself?'
        def titles = TITLES

        # Nothing is across it.
        def settled?(across) = !evidence.on?(across)
        def units = evidence.units

        def why(test)
          return "Is the #{test.consumer.label} called? Volts there say that it is" if test.consumer != evidence.consumer

          "With #{Circuits::Apart.words(test.probe.opened)}: what still has volts is fed past it"
        end

        # It runs all the same: it hangs by itself.
        def by_its_own
          unit = @machine.repair_units.fetch(evidence.consumer.unit)
          return nothing if unit.laddered || @case.mended_in_vain?(unit.key)

          @order.mend(unit, seen, title: "It hangs by itself: #{unit.label}", why: reasons)
        end

        def found
          unit = units.first
          return by_itself(unit) if unit.kind == 'control_unit'

          title = Words.either(evidence.left.map(&:kind).uniq.map { |kind| titles.fetch(kind) })
          step = @order.mend(unit, seen, title: "#{title}: #{unit.label}", why: reasons)
          unit.laddered ? Step.new(**step.to_h, kind: 'condemn') : step
        end

        # What it rests on: every reading, with what was off.
        def reasons = evidence.taken.map { |test| said(test) }.join('. ')

        def said(test)
          spoken = @case.reading(test.probe).spoken
          return "#{spoken} at #{Wording.inside(test.consumer.label)}" if test.probe.opened.empty?

          "#{spoken} at #{Words.short(test.probe.from, @machine)} with #{Circuits::Apart.words(test.probe.opened)}"
        end

        # A control unit that drives it may be asked to: nothing here tells.
        def by_itself(unit)
          watch("#{unit.label} switches it on: is it asked to?",
                "#{reasons}. Its inputs and its maker's tool say whether it is asked; only then is it at fault")
        end

        def between_several
          return nothing if units.empty?
          return along_wires if units.size > MOST_NAMED && units.all? { |unit| unit.kind == 'wire' }

          watch("Not told apart: #{named(', or ')}",
                "#{reasons}. Take one off at a time and see. Record what was mended, and its being off proves it")
        end

        # Runs that meet in splices: no reading parts them until one is taken apart.
        def along_wires
          watch("Rubbed through: look along #{named(', ')}",
                "#{reasons}. All of them: #{units.map(&:label).join('; ')}. To tell them apart, take them apart where they meet: " \
                "#{meeting.map { |node| Words.short(node, @machine) }.join(', ')}")
        end

        def meeting
          wires = @machine.sheet.wires.select { |wire| units.any? { |unit| unit.item_uuids.include?(wire.uuid) } }
          wires.flat_map { |wire| [wire.from, wire.to] }.tally.select { |_, count| count > 1 }.keys
        end

        def named(between)
          more = units.size - MOST_NAMED
          [units.first(MOST_NAMED).map(&:label).join(between), *("#{more} more" if more.positive?)].join(' and ')
        end

        def nothing
          watch('No part is proved: park it with what is suspected', [reasons, NO_ONE].reject(&:empty?).join('. '))
        end

        def seen = @case.reading(@case.seen_probe)
        def watch(title, why) = Step.new(kind: 'watch', minutes: 0, risks: [], title: title, why: why)
      end
    end
  end
end
