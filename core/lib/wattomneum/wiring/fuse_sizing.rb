# frozen_string_literal: true

module Wattomneum
  module Wiring
    # The fuse between a load and the smallest wire behind it.
    class FuseSizing
      # A fuse carries its load at 80 % of its rating (common practice).
      LOAD_SHARE = 0.8
      # A link is four gauge numbers thinner than the wire it guards, about 0.4 of its area, and at most 23 cm long.
      LINK_GAUGES = 4
      LINK_AREA_RATIO = 0.4
      LINK_MOST_M = 0.23
      BLADES = Conductor::TABLES['blade_fuses']['rows']
      # rating_ampere: nil where the wire is too thin for any fuse that carries the load; colour of a blade fuse
      Result = Struct.new(:least_ampere, :most_ampere, :rating_ampere, :colour, :working, keyword_init: true)

      # @param load_ampere [Float] greater than 0
      # @param wire_ampere [Float] what the smallest wire behind it carries for good, derated
      # @return [Result]
      # @raise [InvalidQuantityError] if the load is not over 0 A
      # @example 10 A on 2.5 mm2 (32 A)   # => 15 A, blue
      def self.call(load_ampere:, wire_ampere:)
        raise InvalidQuantityError.new('load_ampere must be over 0 A', field: 'load_ampere') unless load_ampere.positive?

        least = load_ampere / LOAD_SHARE
        rating, colour = BLADES.find { |ampere, _| ampere.between?(least, wire_ampere) }
        words = ["at least #{Quantities::Figure.ampere(load_ampere)} / 0.8 = #{Quantities::Figure.ampere(least)}, " \
                 "at most what the wire carries, #{Quantities::Figure.ampere(wire_ampere)}"]
        words << (if rating
                    "blade fuse #{Quantities::Figure.trim(rating,
                                                          1)} A, #{colour}"
                  else
                    'no blade fuse lies between: a thicker wire, or two circuits'
                  end)
        Result.new(least_ampere: least, most_ampere: wire_ampere, rating_ampere: rating&.to_f, colour: colour, working: words)
      end

      # @param gauge [String, Integer] of the wire guarded
      # @return [Integer] AWG of its fusible link, as in 14 for a 10 AWG wire
      # @raise [OutOfTableRangeError]
      def self.link_gauge(gauge:) = Conductor.awg_number(gauge) + LINK_GAUGES

      # @param section_mm2 [Float] of the wire guarded
      # @return [Float] mm2 of its fusible link
      def self.link_section_mm2(section_mm2:) = section_mm2 * LINK_AREA_RATIO
    end
  end
end
