# frozen_string_literal: true

module Server
  module Contracts
    # What was changed on a unit that moves its cold start, and on which day.
    class NewStartChange < Base
      KINDS = %w[oil heater].freeze

      json do
        required(:id).value(Types::Uuid)
        required(:kind).value(:string, included_in?: KINDS)
        required(:on).value(:date)
      end

      rule(:on).validate(:in_our_time)
    end
  end
end
