# frozen_string_literal: true

module Server
  module Contracts
    # Closing, parking, reopening or cancelling a job, with the version that was looked at.
    class Ending < Base
      json do
        required(:lock_version).value(:integer)
        optional(:reason).value(Types::Text, max_size?: LONG_TEXT)
      end
    end
  end
end
