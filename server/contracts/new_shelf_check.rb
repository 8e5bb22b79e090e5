# frozen_string_literal: true

module Server
  module Contracts
    # A spare battery looked after: volts at rest, charged, or both.
    class NewShelfCheck < Base
      json do
        required(:id).value(Types::Uuid)
        optional(:rest_volt).maybe(Types::Number, gteq?: 0, lteq?: 64_000)
        optional(:charged).value(:bool)
        optional(:tester_ampere).maybe(Types::Number, gt?: 0, lteq?: 50_000)
        optional(:celsius).maybe(Types::Celsius, gteq?: -50.0, lteq?: 80.0)
        optional(:settled).value(:bool)
        optional(:confirmed).value(:bool)
      end

      rule(:rest_volt, :tester_ampere) do
        key(:rest_volt).failure('read its volts before the tester goes on') if values[:tester_ampere] && values[:rest_volt].nil?
      end

      rule(:rest_volt, :charged) do
        key(:rest_volt).failure('say its volts at rest, or that it was charged') if values[:rest_volt].nil? && !values[:charged]
      end
    end
  end
end
