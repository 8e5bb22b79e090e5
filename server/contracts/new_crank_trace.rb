# frozen_string_literal: true

module Server
  module Contracts
    # What is said of a trace beside it, behind the question mark of its address.
    class NewCrankTrace < Base
      CYLINDERS = (1..16)
      # What the volts of a trace may have to be multiplied by, where it was asked what they are.
      FACTORS = [1.0, *Wattomneum::Cranking::Trace::Recording::FACTORS.keys].freeze

      params do
        required(:id).value(Types::Uuid)
        optional(:cylinders).value(:integer, included_in?: CYLINDERS)
        optional(:celsius).value(Types::Celsius, gteq?: -60.0, lteq?: 60.0)
        optional(:factor).value(:float, included_in?: FACTORS)
        optional(:taken_at).value(:time)
      end

      rule(:taken_at).validate(:in_our_time)
    end
  end
end
