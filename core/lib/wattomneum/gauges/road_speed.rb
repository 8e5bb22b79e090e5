# frozen_string_literal: true

module Wattomneum
  module Gauges
    # What a speedometer shows after an axle or tyres were changed.
    module RoadSpeed
      METRES_A_KM = 1000.0

      # Where the signal is taken at the propeller shaft: (new axle / old axle) x (old circumference / new circumference). A wheel sensor sees the
      # tyre only (handbook, from memory).
      #
      # @param old_axle [Float] ratio, turns of the shaft a turn of the wheel
      # @param new_axle [Float]
      # @param old_circumference [Float] rolling, in whatever both are measured
      # @param new_circumference [Float]
      # @param at_wheel [Boolean] whether the signal is taken at the wheel
      # @return [Float] what it shows over what is true
      # @raise [InvalidQuantityError] for a figure of 0
      def self.shows_ratio(old_axle:, new_axle:, old_circumference:, new_circumference:, at_wheel: false)
        OverZero.check(old_axle: old_axle, new_axle: new_axle, old_circumference: old_circumference, new_circumference: new_circumference)
        tyres = old_circumference.fdiv(new_circumference)
        at_wheel ? tyres : tyres * new_axle.fdiv(old_axle)
      end

      # @param teeth [Integer] of the sensor's wheel
      # @param axle [Float] turns of that wheel a turn of the road wheel; 1 at the wheel itself
      # @param circumference_m [Float] rolling, metres
      # @return [Float] pulses a kilometre: teeth x axle x 1000 / circumference
      # @raise [InvalidQuantityError]
      def self.pulses_a_km(teeth:, axle:, circumference_m:)
        OverZero.check(teeth: teeth, axle: axle, circumference_m: circumference_m)
        teeth * axle * METRES_A_KM / circumference_m
      end
    end
  end
end
