# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drawing
      # How the colours of wires are drawn, from core/data/wire_colours.yml.
      module WireColours
        TABLE = DataFile.load('wire_colours').freeze

        # @param written [String, nil] colour and tracer, "red/blue"
        # @return [Array(String, String), Array(String, nil), Array(nil, nil)] as "#c8281e"; nil for what is no colour of the table
        def self.of(written)
          colour, tracer = written.to_s.downcase.split('/', 2).map { |word| TABLE[word.strip] }
          [colour, tracer]
        end
      end
    end
  end
end
