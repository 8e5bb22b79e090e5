# frozen_string_literal: true

module Server
  module Contracts
    # What a lead says of faults with which an engine will not stop.
    class NewStopAnswer < Base
      json do
        required(:id).value(Types::Uuid)
        required(:device).value(Types::Uuid)
        required(:words).value(Types::Text, :filled?, max_size?: LONG_TEXT)
      end
    end
  end
end
