# frozen_string_literal: true

module Server
  module Contracts
    # A battery that goes into a position: one from the shelf by id, or a new one described.
    class NewFitting < Base
      json do
        required(:position).value(:string, included_in?: Wattomneum::Units::ElectricalSystem::POSITIONS)
        optional(:battery_id).value(Types::Uuid)
        optional(:battery).hash do
          required(:id).value(Types::Uuid)
          required(:tag).value(Types::Text, :filled?, max_size?: 40)
          required(:type).value(:string, included_in?: Wattomneum::Batteries::Battery::TYPES.keys)
          required(:rating_ampere).value(Types::Number)
          required(:rating_standard).value(:string, included_in?: Wattomneum::Batteries::Rating::STANDARDS.keys)
          optional(:capacity_ampere_hour).maybe(Types::Number, gt?: 0, lteq?: 400)
          optional(:date_code).maybe(Types::Text, max_size?: 12)
        end
      end

      rule(:battery, :battery_id) do
        key(:battery).failure('name one from the shelf, or describe a new one') if values[:battery].nil? == values[:battery_id].nil?
      end
    end
  end
end
