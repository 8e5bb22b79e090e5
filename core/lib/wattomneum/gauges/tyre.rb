# frozen_string_literal: true

module Wattomneum
  module Gauges
    # A tyre by the size on its wall, in whichever notation it is written.
    class Tyre
      MM_AN_INCH = 25.4
      # Rolling circumference over the free diameter: 3.05 radial, 2.99 bias (ETRTO rule of thumb, from memory).
      ROLLING = { radial: 3.05, bias: 2.99 }.freeze
      # Height over width where the wall names none, by how the size is written: tubeless rims of half inches, farm tyres (18.4-38), conventional ones
      # (12.00-20), millimetres without a ratio (185R14). From memory of makers' tables; measured around wins.
      ASPECT = { tubeless: 0.86, farm: 0.85, conventional: 1.05, metric: 0.80 }.freeze
      METRIC = %r{\A(\d{3})(?:/(\d{2,3}))?\s*([RD-])?\s*(\d{2}(?:\.\d)?)\z}i
      INCH_DIAMETER = /\A(\d{2})\s*X\s*(\d{1,2}(?:\.\d{1,2})?)\s*([RD-])\s*(\d{1,2}(?:\.\d)?)\z/i
      INCH = /\A(\d{1,2}(?:\.\d{1,2})?)\s*([RD-])\s*(\d{1,2}(?:\.\d)?)\z/i
      AROUND = /\A(\d+(?:\.\d+)?)\s*(mm|cm|m)\z/i
      METRES = { 'mm' => 0.001, 'cm' => 0.01, 'm' => 1.0 }.freeze
      private_constant :METRIC, :INCH_DIAMETER, :INCH, :AROUND, :METRES

      # @return [String]
      attr_reader :size
      # @return [Float] free, mm
      attr_reader :diameter_mm
      # @return [Symbol] :radial or :bias
      attr_reader :build

      # @param text [String] "315/80 R22.5", "11R22.5", "12.00-20", "31x10.5R15", "18.4-38"
      #   or measured around, loaded: "3.21 m", "321 cm"
      # @return [Tyre]
      # @raise [InvalidQuantityError] where it is none of these notations
      def self.read(text)
        clean = text.strip.tr(',', '.').gsub(/\s+/, ' ')
        case clean
        when AROUND then around(clean, *Regexp.last_match.captures)
        when METRIC then metric(clean, *Regexp.last_match.captures)
        when INCH_DIAMETER then Regexp.last_match.captures.then { |across, _, build, _| new(clean, across.to_f * MM_AN_INCH, built(build)) }
        when INCH then inch(clean, *Regexp.last_match.captures)
        else raise InvalidQuantityError.new("Tyre: \"#{text[0, 30]}\" is no size; write it as on its wall, 315/80 R22.5, 11R22.5, " \
                                            '12.00-20, 31x10.5R15, or measured around, 321 cm', field: 'tyre')
        end
      end

      # @!visibility private
      def self.metric(text, width, aspect, build, rim)
        ratio = aspect ? aspect.to_f / 100 : ASPECT[:metric]
        new(text, (rim.to_f * MM_AN_INCH) + (2 * width.to_f * ratio), built(build))
      end

      # @!visibility private
      def self.around(text, figure, unit)
        metres = figure.to_f * METRES.fetch(unit.downcase)
        raise InvalidQuantityError.new("Tyre: #{text} around is no tyre", field: 'tyre') unless metres.between?(0.5, 10)

        new(text, metres * 1000 / ROLLING[:radial], :radial)
      end

      # @!visibility private
      def self.inch(text, width, build, rim)
        written = if rim.end_with?('.5') then :tubeless
                  else width.match?(/\.\d\z/) && !width.end_with?('.5') ? :farm : :conventional
                  end
        new(text, (rim.to_f + (2 * width.to_f * ASPECT.fetch(written))) * MM_AN_INCH, built(build))
      end

      # @!visibility private
      def self.built(letter) = letter.to_s.upcase == 'R' || letter.nil? ? :radial : :bias
      private_class_method :metric, :inch, :around, :built

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
