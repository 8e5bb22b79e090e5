# frozen_string_literal: true

module Server
  module Contracts
    # A ground read before and after, and what was done to it between.
    class NewGroundService < Base
      DROP = Dry::Schema.JSON do
        required(:text).value(Types::Text, :filled?, max_size?: 30)
        required(:ampere).value(Types::Number, lteq?: 5000)
        optional(:confirmed).value(:bool)
      end

      json do
        required(:id).value(Types::Uuid)
        optional(:before).hash(DROP)
        optional(:after).hash(DROP)
        optional(:done).array(:string, included_in?: Models::GroundService::DONE.keys)
        optional(:note).value(Types::Text, max_size?: SHORT_TEXT)
      end

      rule(:before, :after) do
        key(:before).failure('read the drop before, after, or both') if values[:before].nil? && values[:after].nil?
      end
    end
  end
end
