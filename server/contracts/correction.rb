# frozen_string_literal: true

module Server
  module Contracts
    # A reading that supersedes another, with the reason.
    class Correction < Base
      json(NewReading::FIELDS) do
        required(:reason).value(Types::Text, :filled?, max_size?: LONG_TEXT)
      end

      rule(:taken_at).validate(:in_our_time)
    end
  end
end
