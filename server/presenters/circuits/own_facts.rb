# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # What a sheet says of its wires and components, and what the unit that it is on has otherwise, with who said so and why.
      class OwnFacts
        # Enough to read what happened lately (ours).
        MOST_EARLIER = 50
        private_constant :MOST_EARLIER

        # @param read [Queries::SheetToRead]
        def initialize(read)
          @read = read
          @facts = Wattomneum::Circuits::OwnFacts.new(Queries::Machines.of(read.version).sheet, read.overrides)
        end

        # @param item [String] UUID of a wire or component
        # @return [Hash] all that may be otherwise about it
        # @raise [Wattomneum::UnknownKeyError]
        def of(item)
          { item: item, name: @facts.name_of(item), facts: @facts.of(item).map { |fact| line(item, fact) } }
        end

        # @return [Hash] what is otherwise, and what was said of it before
        def all
          { own: @facts.all.map { |own| { item: own.uuid, name: own.item, fact: line(own.uuid, own.fact) } }, earlier: earlier }
        end

        private

        def line(item, fact)
          { field: fact.field, label: fact.label, unit: fact.unit, type: fact.type, choices: fact.choices, sheet_says: fact.sheet_says,
            says: fact.says, own: fact.own? ? said(last_words[[item, fact.field]]) : nil }
        end

        # One whose words were not kept is its own all the same.
        def said(row)
          return { why: nil, person: nil, at: nil } if row.nil?

          { why: row.why, person: names[row.person_id], at: row.at.iso8601 }
        end

        # What stands is told with it.
        def earlier
          standing = @facts.all.filter_map { |own| last_words[[own.uuid, own.fact.field]]&.id }
          rows.exclude(id: standing).order(Sequel.desc(:id)).limit(MOST_EARLIER).map do |row|
            { name: row.item, label: label(row), was: row.was, says: row.says, **said(row) }
          end
        end

        # An older version may have had what this one has not.
        def label(row)
          @facts.fact(row.item_uuid, row.field).label
        rescue Wattomneum::UnknownKeyError
          row.field.tr('_', ' ')
        end

        def rows = @read.fitted ? Models::OwnFact.of(@read.fitted) : Models::OwnFact.where(false)
        def last_words = @last_words ||= rows.last_words.all.to_h { |row| [[row.item_uuid, row.field], row] }
        def names = @names ||= Models::Account.where(id: rows.select(:person_id)).select_hash(:id, :name)
      end
    end
  end
end
