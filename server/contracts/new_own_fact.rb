# frozen_string_literal: true

module Server
  module Contracts
    # One fact that a unit has otherwise than its sheet, or as the sheet again. Core knows which facts there are.
    class NewOwnFact < Base
      json do
        required(:item).value(Types::Uuid)
        required(:field).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
        # As it stood when it was looked at; null where nothing was said.
        required(:was).maybe(Types::Text, max_size?: LONG_TEXT)
        # null for as the sheet says.
        required(:says).maybe(Types::Text, max_size?: SHORT_TEXT)
        required(:why).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
      end
    end
  end
end
