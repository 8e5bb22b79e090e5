# frozen_string_literal: true

module Server
  module Contracts
    # Rows of a draft as they were typed: texts by column, nothing where a row is taken out; the version of each that was changed, 0 for a new one.
    class DraftRows < Base
      MOST_ROWS = 500
      MOST_LETTERS = 4_000
      COLUMNS = Wattomneum::Circuits::Drafting::TypedRow::COLUMNS

      json do
        required(:rows).value(:array, min_size?: 1, max_size?: MOST_ROWS).each(:hash) do
          required(:item_uuid).value(Types::Uuid)
          required(:kind).value(:string, included_in?: COLUMNS.keys)
          required(:row_version).value(:integer, gteq?: 0)
          required(:typed).maybe(:hash)
        end
      end

      rule(:rows).each do
        odd = value[:typed].to_h.find do |name, text|
          !COLUMNS.fetch(value[:kind]).include?(name.to_s) || !text.is_a?(::String) || text.size > MOST_LETTERS
        end
        key.failure("has columns #{COLUMNS.fetch(value[:kind]).join(', ')}, each a text of at most #{MOST_LETTERS} letters") if odd
      end

      rule(:rows) do
        key.failure('names one row twice') if value.map { |row| row[:item_uuid] }.uniq!
      end
    end
  end
end
