# frozen_string_literal: true

module Server
  module Contracts
    # How to get at a place on units of one class.
    class NewAccessNote < Base
      json do
        required(:id).value(Types::Uuid)
        required(:place).value(Types::Text, :filled?, max_size?: 80)
        required(:text).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
      end
    end
  end
end
