# frozen_string_literal: true

module Server
  module Contracts
    # A part condemned: from the top of its ladder, or by a lead with a reason that stays visible.
    class NewCondemnation < Base
      json do
        required(:id).value(Types::Uuid)
        required(:element).value(:string, included_in?: Wattomneum::Faults::NextStep::LADDERED)
        optional(:position).maybe(:string, included_in?: Wattomneum::Systems::ElectricalSystem::POSITIONS)
        optional(:override_reason).value(Types::Text, :filled?, max_size?: LONG_TEXT)
      end
    end
  end
end
