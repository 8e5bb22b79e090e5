# frozen_string_literal: true

module Server
  module Contracts
    # How cold the night before a dawn gets, or was, in one yard.
    class NightFields < Base
      ON_EARTH = { gteq?: -60, lteq?: 45 }.freeze

      json do
        required(:dawn).value(:date)
        optional(:low_celsius).value(Types::Celsius, **ON_EARTH)
        optional(:day_before_celsius).maybe(Types::Celsius, **ON_EARTH)
        optional(:measured_celsius).value(Types::Celsius, **ON_EARTH)
        optional(:confirmed).value(:bool)
      end

      rule(:dawn).validate(:in_our_time)
    end
  end
end
