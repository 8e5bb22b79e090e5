# frozen_string_literal: true

module Server
  module Contracts
    # A battery as its label has it.
    class NewBattery < Base
      FIELDS = Dry::Schema.define do
        required(:id).value(Types::Uuid)
        required(:tag).value(Types::Text, :filled?, max_size?: 40)
        required(:type).value(:string, included_in?: Wattomneum::Batteries::Battery::TYPES.keys)
        required(:rating_ampere).value(Types::Number)
        required(:rating_standard).value(:string, included_in?: Wattomneum::Batteries::Rating::STANDARDS.keys)
        optional(:capacity_ampere_hour).maybe(Types::Number, gt?: 0, lteq?: 400)
        optional(:date_code).maybe(Types::Text, max_size?: 12)
      end

      json(FIELDS)
    end
  end
end
