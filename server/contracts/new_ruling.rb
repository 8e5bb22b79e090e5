# frozen_string_literal: true

module Server
  module Contracts
    # How a conflict of the drawings is settled on one unit.
    class NewRuling < Base
      json do
        required(:id).value(Types::Uuid)
        required(:conflict_key).value(Types::Text, :filled?, max_size?: LONG_TEXT)
        required(:choice).value(Types::Text, :filled?, max_size?: LONG_TEXT)
        optional(:note).value(Types::Text, max_size?: LONG_TEXT)
      end
    end
  end
end
