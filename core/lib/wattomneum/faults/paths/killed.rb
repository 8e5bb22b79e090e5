# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # A spark that a magneto should make and does not: grounded through a branch of its kill circuit that should be open, or cut off. Its
      # source is too weak for drops to tell; what is taken off, one branch at a time, tells it.
      class Killed < StaysOn
        TITLES = { 'stuck' => 'Closed when it should be open', 'grounded' => 'Touches the metal', 'cut' => 'Open' }.freeze

        private

        # Nothing is mended because nothing else is left: taken off, it has to come back.
        def found
          test = evidence.confirming(units.first)
          return across_the_gap if test.nil?
          return super if @case.reading(test.probe)

          @order.measure(test.probe, why: "#{units.first.label} is left: with it off, does it come back?")
        end

        # What lies open has its volts across it.
        def across_the_gap
          test = evidence.gap(units.first)
          read = test && @case.reading(test.probe)
          return @order.measure(test.probe, why: "#{units.first.label} is left: if it lies open, the volts stand across it") if test && read.nil?
          return nothing unless read && evidence.on?(test)

          @order.mend(units.first, read, title: "#{titles.fetch('cut')}: #{units.first.label}", why: "#{reasons}. #{read.spoken} across it")
        end

        def between_several
          (units.empty? && SeveralGrounded.new(@case, @order, evidence).call) || super
        end

        def first_why = 'Has it volts while the engine turns? Then nothing kills it'
        def titles = TITLES

        # It has its volts.
        def by_its_own
          watch("#{@case.label} is not killed: look at what makes it and what carries it",
                "#{reasons}. Lead, plug, gap and the ignition unit come next")
        end

        # Killed is off.
        def settled?(across) = evidence.on?(across)

        def why(test) = "With #{Circuits::Apart.words(test.probe.opened)}: does it come back?"
      end
    end
  end
end
