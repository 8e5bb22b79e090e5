# frozen_string_literal: true

module Server
  module Contracts
    # Why something ends: a battery goes, a notice is dealt with.
    class WithReason < Base
      json do
        required(:reason).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
      end
    end
  end
end
