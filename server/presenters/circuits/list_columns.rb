# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # A wire list of another hand before it is taken: its headings with examples, and what they most likely are.
      module ListColumns
        FOREIGN = Wattomneum::Circuits::Drafting::ForeignList
        private_constant :FOREIGN

        # @param list [Wattomneum::Circuits::Drafting::ForeignList]
        # @return [Hash]
        def self.call(list)
          guess = list.guess
          { rows: list.size, headings: list.headings.each_with_index.map { |words, index| { words: words, examples: list.examples(index) } },
            columns: FOREIGN::COLUMNS.map { |name| { column: name, label: FOREIGN.label(name), needed: FOREIGN::NEEDED.include?(name) } },
            guess: guess, length_unit: list.length_unit(guess), length_units: FOREIGN::LENGTHS.keys }
        end
      end
    end
  end
end
