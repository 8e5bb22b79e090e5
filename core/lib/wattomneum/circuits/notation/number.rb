# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Notation
      # Numbers as drawings and tables write them: 12.6, 12,6, 1e5, 10k, 4k7.
      module Number
        PLAIN = /\A([+-]?\d{1,15}(?:[.,]\d+)?(?:[eE][+-]?\d{1,2})?)\s*([kKM])?\z/
        # The prefix in place of the point.
        BETWEEN = /\A(\d{1,6})([kKM])(\d{1,3})\z/
        PREFIXES = { nil => 1, 'k' => 1_000, 'K' => 1_000, 'M' => 1_000_000 }.freeze
        private_constant :PLAIN, :BETWEEN, :PREFIXES

        # @param written [Object] a number, or text
        # @return [Numeric, nil] nil where it is no number
        # @example "4k7"   # => 4700.0
        def self.read(written)
          return written if written.is_a?(Numeric)
          return unless written.is_a?(String)

          text = written.strip
          if (match = PLAIN.match(text)) then Float(match[1].tr(',', '.')) * PREFIXES.fetch(match[2])
          elsif (match = BETWEEN.match(text)) then Float("#{match[1]}.#{match[3]}") * PREFIXES.fetch(match[2])
          end
        end
      end
    end
  end
end
