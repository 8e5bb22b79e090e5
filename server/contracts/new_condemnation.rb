# frozen_string_literal: true

module Server
  module Contracts
    # A part condemned: from the top of its ladder, or by a lead with a reason that stays visible.
    class NewCondemnation < Base
      json do
        required(:id).value(Types::Uuid)
        optional(:element).maybe(:string, included_in?: Wattomneum::Faults::NextStep::LADDERED)
        optional(:unit).maybe(:string, max_size?: 160)
        optional(:position).maybe(:string, included_in?: Wattomneum::Units::ElectricalSystem::POSITIONS)
        optional(:override_reason).value(Types::Text, :filled?, max_size?: LONG_TEXT)
      end

      rule(:element, :unit) do
        key(:element).failure('name the part, or what of the circuit is condemned') unless values[:element].nil? ^ values[:unit].nil?
      end
    end
  end
end
