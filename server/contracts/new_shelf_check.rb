# frozen_string_literal: true

module Server
  module Contracts
    # A spare battery looked after: volts at rest, charged, or both.
    class NewShelfCheck < Base
      json do
        required(:id).value(Types::Uuid)
        optional(:rest_volt).maybe(Types::Number, gteq?: 0, lteq?: 64_000)
        optional(:charged).value(:bool)
        optional(:confirmed).value(:bool)
      end

      rule(:rest_volt, :charged) do
        key(:rest_volt).failure('say its volts at rest, or that it was charged') if values[:rest_volt].nil? && !values[:charged]
      end
    end
  end
end
