# frozen_string_literal: true

module Wattomneum
  module Wiring
    # How much current a wire carries for good.
    module Ampacity
      TABLE = Conductor::TABLES['continuous_ampere']
      LINE = Numerics::PiecewiseLine.new(TABLE['rows'])
      BUNDLES = Conductor::TABLES['bundle_factor']['rows']
      private_constant :TABLE, :LINE, :BUNDLES

      # Formula: table current x sqrt((T_max - T_ambient) / 40) x bundle factor; linear between the table's sizes.
      # Source: continuous current of one PVC wire at 30 degC (handbook, from memory).
      # Valid for: 1 to 120 mm2, PVC at 70 degC, other insulation by its own T_max.
      #
      # @param section_mm2 [Float]
      # @param ambient_celsius [Float]
      # @param most_celsius [Float] of the insulation
      # @param bundled [Integer] wires that carry current side by side
      # @return [Float] ampere; 0 where the surroundings are as hot as the insulation stands
      # @raise [OutOfTableRangeError] for sections the table does not hold
      # @example 2.5 mm2, 30 degC, alone   # => 32.0
      def self.continuous_ampere(section_mm2:, ambient_celsius: 30.0, most_celsius: 70.0, bundled: 1)
        room = [most_celsius - ambient_celsius, 0.0].max / (TABLE['wire_most_celsius'] - TABLE['ambient_celsius'])
        LINE.within(section_mm2) * Math.sqrt(room) * bundle_factor(bundled)
      end

      # @param bundled [Integer] 1 or more
      # @return [Float]
      def self.bundle_factor(bundled) = BUNDLES.find { |most, _| bundled <= most }.last

      # @return [Array<Float>] sizes of the table in mm2
      def self.sizes_mm2 = TABLE['rows'].map { |size, _| size.to_f }
    end
  end
end
