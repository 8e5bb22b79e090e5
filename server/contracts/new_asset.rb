# frozen_string_literal: true

module Server
  module Contracts
    # A starter, an alternator or a relay as its plate has it.
    class NewAsset < Base
      FIELDS = Dry::Schema.JSON do
        required(:id).value(Types::Uuid)
        required(:tag).value(Types::Text, :filled?, max_size?: 40)
        optional(:rating).maybe(Types::Number)
        optional(:note).value(Types::Text, max_size?: SHORT_TEXT)
      end

      json(FIELDS) { required(:kind).value(:string, included_in?: Wattomneum::Assets::Kinds::BY_KEY.keys) }
    end
  end
end
