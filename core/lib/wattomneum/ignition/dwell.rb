# frozen_string_literal: true

module Wattomneum
  module Ignition
    # How long points stay closed.
    module Dwell
      # By the number of cylinders, degrees of the distributor, even cam (handbook, from memory).
      USUAL_DEGREES = { 4 => 47.0..53.0, 6 => 35.0..41.0, 8 => 26.0..32.0 }.freeze

      # @param degrees [Float] of the distributor
      # @param cylinders [Integer]
      # @return [Float] percent: dwell x cylinders / 360
      # @raise [InvalidQuantityError] for more than there is between two cams
      def self.percent(degrees:, cylinders:)
        between = 360.0 / cylinders
        return degrees * 100.0 / between if degrees.between?(0, between)

        raise InvalidQuantityError.new("Dwell is 0 to #{Quantities::Figure.trim(between, 1)} degrees on #{cylinders} cylinders, got #{degrees}",
                                       field: 'degrees')
      end
    end
  end
end
