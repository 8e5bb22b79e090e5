# frozen_string_literal: true

module Server
  module Contracts
    # How long somebody has before night, and where.
    class MinutesLeft < Base
      params do
        required(:minutes).value(:integer, gteq?: 1, lteq?: Wattomneum::ColdStart::Proposal::MOST_MINUTES)
        optional(:yard).value(Types::Uuid)
      end
    end
  end
end
