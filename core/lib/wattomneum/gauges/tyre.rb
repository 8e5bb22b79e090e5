# frozen_string_literal: true

module Wattomneum
  module Gauges
    # A tyre by the size on its wall, in whichever notation it is written.
    class Tyre
      MM_AN_INCH = 25.4
      # Rolling circumference over the free diameter: 3.05 radial, 2.99 bias (ETRTO rule of thumb, from memory).
      ROLLING = { radial: 3.05, bias: 2.99 }.freeze
      # Height over width where the wall names none, by how the size is written: tubeless rims of half inches, farm tyres (18.4-38), conventional ones
      # (12.00-20), millimetres without a ratio (185R14), high flotation on rims of 16.5 inches (12-16.5). From
      # memory of makers' tables; measured around wins.
      ASPECT = { tubeless: 0.86, farm: 0.85, conventional: 1.05, metric: 0.80, flotation: 0.68 }.freeze
      FLOTATION_RIM = '16.5'
      # Load and speed behind a size: 156/150L, 121A8.
      SERVICE = %r{ \d{2,3}(?:/\d{2,3})? ?[A-Z]\d?\z}i
      METRIC = %r{\A(\d{3})(?:/(\d{2,3}))?\s*([RD-])?\s*(\d{2}(?:\.\d)?)\z}i
      INCH_DIAMETER = /\A(\d{2})\s*X\s*(\d{1,2}(?:\.\d{1,2})?)\s*([RD-])\s*(\d{1,2}(?:\.\d)?)\z/i
      INCH = /\A(\d{1,2}(?:\.\d{1,2})?)\s*([RD-])\s*(\d{1,2}(?:\.\d)?)\z/i
      INCH_RATIO = %r{\A(\d{1,2}(?:\.\d{1,2})?)/(\d{2,3})\s*([RD-])\s*(\d{1,2}(?:\.\d)?)\z}i
      AROUND = /\A(\d+(?:\.\d+)?)\s*(mm|cm|m)\z/i
      METRES = { 'mm' => 0.001, 'cm' => 0.01, 'm' => 1.0 }.freeze
      private_constant :METRIC, :INCH_DIAMETER, :INCH, :INCH_RATIO, :AROUND, :METRES, :SERVICE, :FLOTATION_RIM

      # @return [String]
      attr_reader :size
      # @return [Float] free, mm
      attr_reader :diameter_mm
      # @return [Symbol] :radial or :bias
      attr_reader :build

      # @param text [String] "315/80 R22.5", "11R22.5", "12.00-20", "31x10.5R15", "18.4-38", "12-16.5", "12.5/80-18"; what it
      #   may carry behind it, "156/150L", is passed over;
      #   or measured around, loaded: "3.21 m", "321 cm"
      # @return [Tyre]
      # @raise [InvalidQuantityError] where it is none of these notations
      def self.read(text)
        clean = text.strip.tr(',', '.').gsub(/\s+/, ' ').sub(SERVICE, '')
        case clean
        when AROUND then around(clean, *Regexp.last_match.captures)
        when METRIC then metric(clean, *Regexp.last_match.captures)
        when INCH_DIAMETER then Regexp.last_match.captures.then { |across, _, build, _| new(clean, across.to_f * MM_AN_INCH, built(build)) }
        when INCH_RATIO then Regexp.last_match.captures.then { |width, *rest| of_ratio(clean, width.to_f * MM_AN_INCH, *rest) }
        when INCH then inch(clean, *Regexp.last_match.captures)
        else raise InvalidQuantityError.new("Tyre: \"#{text[0, 30]}\" is no size; write it as on its wall, 315/80 R22.5, 11R22.5, " \
                                            '12.00-20, 31x10.5R15, or measured around, 321 cm', field: 'tyre')
        end
      end

      # @!visibility private
      def self.metric(text, width, aspect, build, rim)
        of_ratio(text, width.to_f, aspect || (ASPECT[:metric] * 100), build, rim)
      end

      # @!visibility private
      def self.of_ratio(text, width_mm, percent, build, rim)
        new(text, (rim.to_f * MM_AN_INCH) + (2 * width_mm * percent.to_f / 100), built(build))
      end

      # @!visibility private
      def self.around(text, figure, unit)
        metres = figure.to_f * METRES.fetch(unit.downcase)
        raise InvalidQuantityError.new("Tyre: #{text} around is no tyre", field: 'tyre') unless metres.between?(0.5, 10)

        new(text, metres * 1000 / ROLLING[:radial], :radial)
      end

      # @!visibility private
      def self.inch(text, width, build, rim)
        written = if rim == FLOTATION_RIM then :flotation
                  elsif rim.end_with?('.5') then :tubeless
                  else width.match?(/\.\d\z/) && !width.end_with?('.5') ? :farm : :conventional
                  end
        new(text, (rim.to_f + (2 * width.to_f * ASPECT.fetch(written))) * MM_AN_INCH, built(build))
      end

      # @!visibility private
      def self.built(letter) = letter.to_s.upcase == 'R' || letter.nil? ? :radial : :bias
      private_class_method :metric, :of_ratio, :inch, :around, :built

      # @param size [String]
      # @param diameter_mm [Float]
      # @param build [Symbol]
      def initialize(size, diameter_mm, build)
        @size = size
        @diameter_mm = diameter_mm
        @build = build
        freeze
      end

      # @return [Float] metres a turn, loaded
      def rolling_m = diameter_mm * ROLLING.fetch(build) / 1000
    end
  end
end
