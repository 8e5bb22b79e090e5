# frozen_string_literal: true

module Server
  module Contracts
    # What a list of units is narrowed to, and where its next page goes on.
    class UnitFilter < Base
      params do
        optional(:yard).value(Types::Uuid)
        optional(:class).value(Types::Uuid)
        optional(:state).value(:string, included_in?: Queries::UnitList::STATES)
        optional(:q).value(Types::Text, max_size?: 60)
        optional(:order).value(:string, included_in?: Queries::UnitList::ORDERS)
        optional(:after).value(Types::Uuid)
      end
    end
  end
end
