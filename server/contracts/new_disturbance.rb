# frozen_string_literal: true

module Server
  module Contracts
    # Something taken off or opened on the way.
    class NewDisturbance < Base
      json do
        required(:id).value(Types::Uuid)
        required(:what).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
        # That automatic start was locked out, so that hands may go in.
        optional(:lockout).value(:bool)
      end
    end
  end
end
