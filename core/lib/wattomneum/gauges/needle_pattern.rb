# frozen_string_literal: true

module Wattomneum
  module Gauges
    # What several needles say together.
    module NeedlePattern
      WORDS = %w[right high low dead].freeze
      # points_to; next: what to measure
      Said = Struct.new(:points_to, :next, keyword_init: true)
      ALONE = 'its own sender, wire, or the ground of its thread'
      # by what all of them do: supply, or ground (handbook, from memory)
      TOGETHER = {
        'high' => ['the stabiliser or its ground: too many volts at every gauge',
                   'Stabiliser output to its own body, about 10 V mean or 5 V; then its body to the negative post'],
        'low' => ['the supply they share, or the ground that all senders share',
                  'Supply at the gauge splice to negative post; then block to negative post, lamps on'],
        'dead' => ['the feed they share', 'Volts at the gauge fuse, both sides, key on']
      }.freeze
      private_constant :ALONE, :TOGETHER

      # @param needles [Hash{String => String}] label of a gauge to one of WORDS
      # @return [Said]
      # @raise [InvalidQuantityError] for a word that says nothing, or nothing wrong with any
      def self.read(needles)
        odd = needles.values.find { |word| !WORDS.include?(word) }
        raise InvalidQuantityError.new("A needle is #{WORDS.join(', ')}, got #{odd}", field: 'needles') if odd

        off = needles.reject { |_, word| word == 'right' }
        raise InvalidQuantityError.new('Say which needle is off', field: 'needles') if off.empty?

        together(needles, off) || Said.new(points_to: off.map { |label, word| "#{label} #{word}: #{ALONE}" }.join('; '),
                                           next: "#{off.keys.first}: a known resistor in place of its sender; then its body to the block")
      end

      # @!visibility private
      def self.together(needles, off)
        return unless needles.size > 1 && off.size == needles.size && off.values.uniq.one?

        points_to, after = TOGETHER.fetch(off.values.first)
        Said.new(points_to: "All #{off.values.first}: #{points_to}", next: after)
      end
      private_class_method :together
    end
  end
end
