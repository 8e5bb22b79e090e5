# frozen_string_literal: true

module Server
  module Contracts
    # A defect that was seen and not mended.
    class NewNotice < Base
      json do
        required(:id).value(Types::Uuid)
        required(:what).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
        required(:severity).value(:string, included_in?: Models::Notice::SEVERITIES)
        optional(:place).value(Types::Text, max_size?: SHORT_TEXT)
      end
    end
  end
end
