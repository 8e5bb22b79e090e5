# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # A sensor with two wires (a resistance that a control unit pulls up), with three (a divider between supply and return),
      # or with one, through its own body (a gauge sender).
      class Sensor < Part
        TWO_WIRES = %w[signal return].freeze
        THREE_WIRES = %w[supply signal return].freeze

        def pins = (fields['pins'] || (three? ? THREE_WIRES : TWO_WIRES)).map(&:to_s)

        def branches
          return [branch(pins.first, pins.last, number('ohm'))] unless three?

          position = number('position_ratio', 0.5)
          [branch('supply', 'signal', track_ohm * (1 - position), name: 'track to supply'),
           branch('signal', 'return', track_ohm * position, name: 'track to return')]
        end

        # A signal is watched against the unit that reads it (see ControlUnit), so a sensor has none of its own.

        private

        def three? = fields['wires'].to_i == 3
        def track_ohm = number('ohm', 5000)
      end
    end
  end
end
