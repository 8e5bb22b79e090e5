# frozen_string_literal: true

module Server
  module Contracts
    # A correction to what is known of a battery.
    class BatteryEdit < Base
      json do
        required(:lock_version).value(:integer)
        required(:type).value(:string, included_in?: Wattomneum::Batteries::Battery::TYPES.keys)
        required(:rating_ampere).value(Types::Number)
        required(:rating_standard).value(:string, included_in?: Wattomneum::Batteries::Rating::STANDARDS.keys)
        optional(:date_code).maybe(Types::Text, max_size?: 12)
      end
    end
  end
end
