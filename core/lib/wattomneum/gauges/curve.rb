# frozen_string_literal: true

module Wattomneum
  module Gauges
    # Resistance against what is measured: the curve of a sender, or the one a gauge is marked for. Straight between its points.
    class Curve
      FAMILIES = DataFile.load('sender_families').to_h { |row| [row['key'], row] }.freeze
      KELVIN = 273.15
      REFERENCE_KELVIN = 298.15
      LEAST_POINTS = 2
      MOST_POINTS = 30
      private_constant :KELVIN, :REFERENCE_KELVIN

      class << self
        # @param key [String] of FAMILIES
        # @return [Curve] over a scale of 0 to 100 percent
        # @raise [UnknownKeyError]
        def family(key)
          row = FAMILIES.fetch(key) { raise UnknownKeyError, "no family of senders is called #{key}" }
          new([[0.0, row['low'].to_f], *row.fetch('between', {}).map { |mark, ohm| [mark.to_f, ohm.to_f] }, [100.0, row['high'].to_f]])
        end

        # R = R25 exp(B (1/T - 1/298.15)); B is 3400 to 3950 K on most (handbook, from memory).
        #
        # @param r25_ohm [Float]
        # @param b_kelvin [Float]
        # @param celsius [Array<Float>] where it is to have points
        # @return [Curve] against degC
        def thermistor(r25_ohm:, b_kelvin:, celsius:)
          OverZero.check(r25_ohm: r25_ohm, b_kelvin: b_kelvin)
          new(celsius.map { |at| [at, r25_ohm * Math.exp(b_kelvin * ((1 / (at + KELVIN)) - (1 / REFERENCE_KELVIN)))] })
        end

        # @param text [String] "0 240; 50 103; 100 33": what is measured and its ohms, or the key of a family
        # @return [Curve]
        # @raise [InvalidQuantityError] where it is none
        def read(text)
          return family(text.strip) if FAMILIES.key?(text.strip)

          new(text.split(/[;\n]/).map(&:strip).reject(&:empty?).map { |pair| point(pair) })
        end

        private

        def point(pair)
          figures = pair.split(/[\s:=]+/).map { |one| Quantities::Entry.number(one) }
          return figures.map(&:to_f) if figures.size == LEAST_POINTS && figures.none?(&:nil?)

          raise InvalidQuantityError.new("Curve: \"#{pair[0, 30]}\" is not a mark and its ohms, as in \"50 103\"", field: 'curve')
        end
      end

      # @return [Array<Array(Float, Float)>] mark and ohms, by mark
      attr_reader :points

      # @param points [Array<Array(Float, Float)>] mark and ohms
      # @raise [InvalidQuantityError] for too few, a mark twice, ohms below 0, or a curve that turns back: one resistance would be two marks
      def initialize(points)
        refuse("Curve: #{LEAST_POINTS} to #{MOST_POINTS} points, got #{points.size}") unless points.size.between?(LEAST_POINTS, MOST_POINTS)
        @points = points.sort_by(&:first).freeze
        marks, ohms = @points.transpose
        twice = marks.each_cons(2).find { |one, other| one == other }
        refuse("Curve: the mark #{figure(twice.first)} stands in it twice") if twice
        refuse('Curve: no resistance is below 0 ohm') if ohms.any?(&:negative?)
        check_one_way(ohms)
      end

      # @param mark [Float]
      # @return [Float] ohms there, nil beyond its ends
      def ohm(mark) = between(points, mark)

      # @param ohm [Float]
      # @return [Float] mark there; at its ends for what lies beyond, where a needle rests
      def mark(ohm)
        turned = points.map(&:reverse).sort_by(&:first)
        between(turned, ohm.clamp(turned.first.first, turned.last.first))
      end

      # @return [Range] of its marks
      def scale = points.first.first..points.last.first

      # @return [Boolean] whether its ohms rise with what is measured
      def rises? = points.last.last > points.first.last

      private

      def check_one_way(ohms)
        ways = ohms.each_cons(2).map { |one, other| other <=> one }
        at = (1...ways.size).find { |index| ways[index] != ways.first } || (0 if ways.first.zero?)
        return if at.nil?

        refuse("Curve: it turns back at #{figure(points[at].first)}: #{figure(ohms[at])} to #{figure(ohms[at + 1])} ohm; " \
               'one resistance would be two marks')
      end

      def between(list, at)
        (from, low), (to, high) = list.each_cons(2).find { |(one, _), (other, _)| at.between?(one, other) }
        from && (low + ((high - low) * (at - from) / (to - from)))
      end

      def figure(value) = Quantities::Figure.trim(value, 1)
      def refuse(message) = raise(InvalidQuantityError.new(message, field: 'curve'))
    end
  end
end
