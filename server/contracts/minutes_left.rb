# frozen_string_literal: true

module Server
  module Contracts
    # How long somebody has before night, where, and what cannot be done: keys with commas between them.
    class MinutesLeft < Base
      params do
        required(:minutes).value(:integer, gteq?: 1, lteq?: Wattomneum::ColdStart::Proposal::MOST_MINUTES)
        optional(:yard).value(Types::Uuid)
        optional(:without).value(Types::Text, max_size?: 80)
      end

      rule(:without) do
        unknown = value.to_s.split(',') - Wattomneum::ColdStart::Remedies::ROWS.keys
        key.failure("names what nobody does: #{unknown.first}") if unknown.any?
      end
    end
  end
end
