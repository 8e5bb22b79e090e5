# frozen_string_literal: true

module Server
  module Contracts
    # What differs on one unit: fields by the UUID of the wire or component. Core knows which fields there are.
    class SheetOverrides < Base
      json do
        required(:lock_version).value(:integer)
        required(:overrides).value(:hash)
      end

      rule(:overrides) do
        odd = value.find { |uuid, fields| !uuid.to_s.match?(Types::UUID_FORMAT) || !fields.is_a?(::Hash) }
        key.failure('names items by their UUID, each with its fields') if odd
      end
    end
  end
end
