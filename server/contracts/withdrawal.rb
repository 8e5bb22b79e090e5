# frozen_string_literal: true

module Server
  module Contracts
    # Taking a reading out of the reckoning, with the reason; the row stays.
    class Withdrawal < Base
      json { required(:reason).value(Types::Text, :filled?, max_size?: LONG_TEXT) }
    end
  end
end
