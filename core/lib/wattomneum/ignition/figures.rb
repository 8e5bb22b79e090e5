# frozen_string_literal: true

module Wattomneum
  module Ignition
    # Ohms, gaps and microfarads of an ignition, held against their limits.
    class Figures
      # key; label; unit; cylinder: whether it belongs to one; per_m: whether it is judged by the metre; low, high: what such a figure means
      Kind = Struct.new(:key, :label, :unit, :cylinder, :per_m, :low, :high, keyword_init: true)
      KINDS = DataFile.load('ignition_figures').map { |row| Kind.new(**row.transform_keys(&:to_sym)).freeze }.freeze
      # verdict: sound or act; words: with the limit
      Judged = Struct.new(:verdict, :words, keyword_init: true)

      # The plug's centre is negative; reversed costs 15 to 30 % of the voltage (handbook, from memory).
      POLARITY = { false => Judged.new(verdict: 'sound', words: "the plug's centre is negative").freeze,
                   true => Judged.new(verdict: 'act',
                                      words: 'reversed, which costs 15 to 30 % of the voltage: change its two primary wires').freeze }.freeze

      # @param key [String]
      # @return [Kind]
      # @raise [UnknownKeyError]
      def self.kind(key) = KINDS.find { |one| one.key == key } || raise(UnknownKeyError, "no figure of an ignition is called #{key}")

      # @param limits [Limits::Table]
      def initialize(limits = Limits::Table.shipped)
        @limits = limits
      end

      # @param key [String]
      # @param value [Float] in the unit of its kind
      # @param length_m [Float, nil] of a lead
      # @param neighbours [Array<Float>] the same figure of the others, by the metre where it is judged so
      # @return [Judged]
      # @raise [InvalidQuantityError] for a lead that is judged by the metre without its length
      def judge(key, value, length_m: nil, neighbours: [])
        kind = self.class.kind(key)
        judged = by_metre(kind, value, length_m)
        side = beyond(kind, judged)
        return Judged.new(verdict: 'act', words: "#{said(kind, judged)}: #{kind[side]}") if side

        twice = twice_of(judged, neighbours) if kind.cylinder
        return Judged.new(verdict: 'act', words: "#{said(kind, judged)}, and another of like length has #{figure(kind, twice)}: suspect") if twice

        Judged.new(verdict: 'sound', words: said(kind, judged))
      end

      # @param kind [Kind]
      # @return [Float] what it is judged by
      def by_metre(kind, value, length_m)
        return value unless kind.per_m
        return value / length_m if length_m&.positive?

        raise InvalidQuantityError.new('How long is this lead? It is judged by the metre', field: 'length_m')
      end

      private

      def beyond(kind, value)
        return :low if kind.low && value < limit(kind, 'least').value

        :high if value > limit(kind, 'most').value
      end

      def limit(kind, side) = @limits.fetch("ignition.#{kind.key}_#{side}")

      def twice_of(value, neighbours)
        least = neighbours.select(&:positive?).min
        least if least && value >= least * @limits.fetch('ignition.lead_against_neighbour').value
      end

      def said(kind, value)
        most = limit(kind, 'most')
        wanted = kind.low ? "#{figure(kind, limit(kind, 'least').value)} to #{figure(kind, most.value)}" : "at most #{figure(kind, most.value)}"
        "#{figure(kind, value)}#{' a metre' if kind.per_m}, usual #{wanted}"
      end

      def figure(kind, value) = kind.unit == 'ohm' ? Quantities::Figure.ohm(value) : "#{Quantities::Figure.trim(value, 2)} #{kind.unit}"
    end
  end
end
