# frozen_string_literal: true

module Server
  module Contracts
    # A yard: its name and the time zone it tells time in.
    class YardFields < Base
      json do
        required(:name).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
        required(:time_zone).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
      end
    end
  end
end
