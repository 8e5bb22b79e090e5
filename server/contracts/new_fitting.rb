# frozen_string_literal: true

module Server
  module Contracts
    # A battery that goes into a position: one from the shelf by id, or a new one described.
    class NewFitting < Base
      json do
        required(:position).value(:string, included_in?: Wattomneum::Units::ElectricalSystem::POSITIONS)
        optional(:battery_id).value(Types::Uuid)
        optional(:battery).hash(NewBattery::FIELDS)
      end

      rule(:battery, :battery_id) do
        key(:battery).failure('name one from the shelf, or describe a new one') if values[:battery].nil? == values[:battery_id].nil?
      end
    end
  end
end
