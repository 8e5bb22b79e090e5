# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drawing
      # How the colours of wires are drawn, from core/data/wire_colours.yml.
      module WireColours
        TABLE = DataFile.load('wire_colours').freeze

        # Colour and up to two tracers.
        MOST_WORDS = 3
        private_constant :MOST_WORDS

        # @param written [String, nil] colour and tracer, "red/blue"
        # @return [Array(String, String), Array(String, nil), Array(nil, nil)] as "#c8281e"; nil for what is no colour of the table
        def self.of(written)
          colour, tracer = words(written).map { |word| TABLE[word] }
          [colour, tracer]
        end

        # @param written [String]
        # @return [String, nil] what of it is no colour of the table; nil where all is
        def self.unknown(written)
          words = words(written)
          words.size > MOST_WORDS ? written : words.find { |word| !TABLE.key?(word) }
        end

        # @!visibility private
        def self.words(written) = written.to_s.downcase.split('/').map(&:strip)
        private_class_method :words
      end
    end
  end
end
