# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # From what fails down to what makes it fail: volts across it; which side loses them; where on that side; and where that is a contact
      # that stayed open, the same for whatever should have closed it.
      class Descent
        # More relays behind relays than any circuit has.
        MOST_DEEP = 6
        ACROSS_FIRST = 'With or without its volts: that tells it from what feeds it'
        ITS_OWN_SIDE = 'Its contact stays open: does its own side get volts?'
        private_constant :MOST_DEEP, :ACROSS_FIRST, :ITS_OWN_SIDE

        # @param kase [Case]
        # @param order [Order] makes the steps
        def initialize(kase, order)
          @case = kase
          @order = order
        end

        # @param consumers [Array<Circuits::Consumer>] that have to be right
        # @return [Step, nil]
        def call(consumers) = look_into(consumers, deep: 0, been: [])

        private

        def across(consumer) = Probes.across(consumer, @case.symptom.situation)
        def called?(consumer) = @case.circumstances.volt_between(consumer.from, consumer.to, across(consumer)).abs > Probes::LEAST_VOLT

        def look_into(list, deep:, been:)
          return if deep > MOST_DEEP

          list.lazy.reject { |one| been.include?(one.key) }.filter_map { |consumer| look_at(consumer, deep, been + list.map(&:key)) }.first ||
            laddered(list)
        end

        def look_at(consumer, deep, been)
          return unless called?(consumer)

          probe = across(consumer)
          judgement = @case.judgement(probe)
          return @order.measure(probe, why: deep.zero? ? ACROSS_FIRST : ITS_OWN_SIDE) if judgement.nil?

          sides(consumer, deep, been) if judgement.code == 'load.lacks_volts'
        end

        def sides(consumer, deep, been)
          outcomes = %i[feed return].lazy.map { |side| Search.new(@case, consumer, side).call }.reject(&:clear)
          outcome = outcomes.first or return
          return look_into(outcome.below, deep: deep + 1, been: been) || bracket(outcome.below, consumer) if outcome.below

          stepped(outcome)
        end

        # The coil has its volts and the contact is open all the same: straight across it.
        def bracket(below, consumer)
          return unless served?(below)

          outcome = %i[feed return].lazy.map { |side| Search.new(@case, consumer, side).call(below: false) }.reject(&:clear).first
          outcome && stepped(outcome)
        end

        def stepped(outcome)
          return @order.measure(outcome.probe, why: outcome.why) if outcome.probe
          return torn(outcome.torn) if outcome.torn

          # What has a ladder is not convicted by what it holds back: more or less may reach it for another reason.
          @order.repair(outcome.unit, outcome.reading) unless outcome.unit.laddered || @case.mended_in_vain?(outcome.unit.key)
        end

        # Readings that contradict each other: the one that was taken first is read again, once.
        def torn(readings)
          again = readings.find { |one| @case.times(one.probe) < 2 }
          return if again.nil?

          why = 'Two readings contradict each other: one was misread, or it comes and goes. Read this one again'
          @order.measure(again.probe, kind: 'repeat', why: why,
                               title: "Once more: #{Words.probe(again.probe, @case.machine)}")
        end

        # A control unit that has its supplies, grounds and requests and does nothing: positive evidence against itself.
        def laddered(list)
          part = @case.machine.sheet.part(list.first.part_id)
          return unless part.is_a?(Circuits::Parts::ControlUnit)

          unit = @case.machine.repair_units.fetch(list.first.unit)
          return if !unit.laddered || @case.mended_in_vain?(unit.key)
          return of_one_moment(list) unless Ladder.new(@case, part).then { |one| proved?(one, part) }

          Step.new(kind: 'condemn', unit: unit.key, minutes: unit.minutes, failing_reading_id: seen_to_fail.id,
                   risks: unit.cautions, title: "#{unit.label} is proved bad: replace or repair it",
                   why: 'Every supply, ground and request of it is right, and it does nothing')
        end

        # Each supply and request was there while it was seen to fail.
        def of_one_moment(list)
          return unless served?(list) && seen_to_fail

          list.select { |one| called?(one) }.lazy.filter_map { |one| @case.reading(across(one))&.then { |read| @order.in_one_moment(read) } }.first
        end

        # Where the complaint is about what it drives, that this is seen dead stands for its own being dead.
        def proved?(ladder, part)
          rungs = part == @case.part ? ladder.rungs : ladder.rungs.drop(1)
          rungs.all? { |rung| rung.state == 'done' } && !seen_to_fail.nil?
        end

        # The complaint itself: what does not work, or that it does not charge.
        def seen_to_fail
          return @case.circumstances.tests.latest('charging_fast_idle') if @case.part.nil?

          @case.reading(@case.seen_probe) if @case.judgement(@case.seen_probe)&.act?
        end

        # Whether all that these need has been read and is there.
        def served?(list) = list.select { |one| called?(one) }.all? { |one| @case.served?(one) }
      end
    end
  end
end
