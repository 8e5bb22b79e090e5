# frozen_string_literal: true

module Wattomneum
  # Wires as conductors: resistance, heat, size, protection.
  module Wiring
    # Resistance of copper conductors.
    module Conductor
      # International annealed copper: 1/58 ohm mm2 per m at 20 degC (IEC 60028).
      OHM_MM2_PER_M = 1.0 / 58
      # Temperature coefficient of copper at 20 degC (IEC 60028).
      PER_DEGREE = 0.00393
      REFERENCE_CELSIUS = 20.0
      AWG_NUMBER = %r{\A(?:([1-4])/0|([0-9]|[1-3][0-9]|40))\z}
      WRITTEN = %r{\A\s*(?:(?:AWG|\#)\s*(?<behind>\d+(?:/0)?)|(?<number>\d+(?:/0)?)\s*AWG)\s*\z}i
      private_constant :AWG_NUMBER, :WRITTEN

      TABLES = DataFile.load('wire_tables').freeze

      # Source: largest resistance of automotive cable at 20 degC, ISO 6722-1 (from memory), for the sizes it lists; copper by
      # its section otherwise.
      #
      # @param section_mm2 [Float] greater than 0
      # @return [Float] ohm per m at 20 degC
      # @raise [InvalidQuantityError] if the section is not over 0
      # @example 2.5 mm2   # => 0.0076
      def self.metric_ohm_per_m(section_mm2:)
        raise InvalidQuantityError.new("section_mm2 must be over 0, got #{section_mm2}", field: 'section_mm2') unless section_mm2.positive?

        listed = TABLES['metric_milliohm_per_m']['rows'].find { |size, _| (size - section_mm2).abs < 1e-9 }
        listed ? listed.last / 1000.0 : OHM_MM2_PER_M / section_mm2
      end

      # Formula: d = 0.127 mm x 92^((36 - n) / 39). Source: ASTM B258.
      #
      # @param gauge [String, Integer] 40 to 0, "1/0" (n = 0) to "4/0" (n = -3)
      # @return [Float] mm
      # @raise [OutOfTableRangeError] for a gauge nobody makes
      # @example 10   # => 2.588
      def self.awg_diameter_mm(gauge:) = 0.127 * (92**((36 - awg_number(gauge)) / 39.0))

      # @param gauge [String, Integer]
      # @return [Float] mm2 of solid copper; vehicle cable sold by gauge has up to 10 % less
      # @raise [OutOfTableRangeError] for a gauge nobody makes
      def self.awg_section_mm2(gauge:) = Math::PI / 4 * (awg_diameter_mm(gauge: gauge)**2)

      # @param gauge [String, Integer]
      # @return [Float] ohm per m of solid copper at 20 degC
      # @raise [OutOfTableRangeError] for a gauge nobody makes
      # @example 10   # => 0.003277
      def self.awg_ohm_per_m(gauge:) = OHM_MM2_PER_M / awg_section_mm2(gauge: gauge)

      # Formula: R = R20 (1 + 0.00393 (T - 20)). Source: IEC 60028.
      #
      # @param ohm_at_20 [Float]
      # @param celsius [Float]
      # @return [Float] ohm
      # @example 1 ohm at 80 degC   # => 1.2358
      def self.at_temperature(ohm_at_20:, celsius:) = ohm_at_20 * (1 + (PER_DEGREE * (celsius - REFERENCE_CELSIUS)))

      # @param text [String] as people write a gauge: "10 AWG", "AWG 10", "#10", "2/0 awg"
      # @return [String, nil] its number, nil where it is none
      def self.gauge_in(text)
        WRITTEN.match(text)&.then { |found| found[:number] || found[:behind] }
      end

      # @param gauge [String, Integer]
      # @return [Integer] n of the formula: 10 for 10 AWG, 0 for 1/0, -3 for 4/0
      # @raise [OutOfTableRangeError]
      def self.awg_number(gauge)
        match = AWG_NUMBER.match(gauge.to_s) or
          raise OutOfTableRangeError, "a gauge is 40 to 0 or 1/0 to 4/0, got #{gauge}"
        match[1] ? 1 - match[1].to_i : match[2].to_i
      end
    end
  end
end
