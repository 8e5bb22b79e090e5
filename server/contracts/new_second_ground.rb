# frozen_string_literal: true

module Server
  module Contracts
    # A second ground that was added to a unit.
    class NewSecondGround < Base
      json do
        required(:id).value(Types::Uuid)
        required(:section_mm2).value(Types::Number, gt?: 0, lteq?: 240)
        optional(:note).value(Types::Text, max_size?: SHORT_TEXT)
      end
    end
  end
end
