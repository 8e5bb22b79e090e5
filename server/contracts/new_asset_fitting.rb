# frozen_string_literal: true

module Server
  module Contracts
    # What goes into a place of a unit: one that is on record, or a new one described. What stood there comes off.
    class NewAssetFitting < Base
      json do
        required(:place).value(Types::Text, :filled?, max_size?: 60)
        optional(:asset_id).value(Types::Uuid)
        optional(:asset).hash(NewAsset::FIELDS)
      end

      rule(:asset, :asset_id) do
        key(:asset).failure('name one from the shelf, or describe a new one') if values[:asset].nil? == values[:asset_id].nil?
      end
    end
  end
end
