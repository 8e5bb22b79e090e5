# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # A diode, piecewise linear: nothing below its forward volts, a small resistance above.
      class Diode < Part
        FORWARD_VOLT = 0.7
        FORWARD_OHM = 0.1

        def pins = %w[a k]
        def branches = [branch('a', 'k', number('ohm', FORWARD_OHM), volt: number('forward_volt', FORWARD_VOLT), gate: :forward)]
      end
    end
  end
end
