# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # A plain resistance between two pins: a terminator, a bus module's input, a ballast.
      class Resistor < Part
        def pins = (fields['pins'] || %w[1 2]).map(&:to_s)
        def branches = [branch(pins.first, pins.last, number('ohm'))]
      end
    end
  end
end
