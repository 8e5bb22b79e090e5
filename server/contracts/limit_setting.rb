# frozen_string_literal: true

module Server
  module Contracts
    # A limit as the fleet sets it, and why; core knows how far it may go.
    class LimitSetting < Base
      json do
        required(:value).value(Types::Number)
        required(:reason).value(Types::Text, :filled?, max_size?: LONG_TEXT)
      end
    end
  end
end
