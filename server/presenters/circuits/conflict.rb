# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # A conflict of the drawings, with how it was ruled.
      module Conflict
        # @param conflict [Wattomneum::Circuits::Questions::Conflicts::Conflict]
        # @param ruling [Models::Ruling, nil]
        # @param person [String, nil]
        def self.call(conflict, ruling, person)
          { key: conflict.key, kind: conflict.kind.tr('_', ' '), words: conflict.words, sheets: conflict.sheets, items: conflict.items,
            options: conflict.options.map(&:label), ruling: ruling && ruling_row(ruling, person) }
        end

        # Rulings on conflicts that their own overrides have settled stay readable.
        def self.ruling_row(ruling, person)
          { words: ruling.words, choice: ruling.choice, note: ruling.note, person: person, at: ruling.at.iso8601 }
        end
      end
    end
  end
end
