# frozen_string_literal: true

module Server
  module Routes
    # Starters, alternators and relays as individuals: in their places on a unit, and each through its life.
    class Assets < Base
      get '/api/units/:id/parts' do
        allow!(:read)
        json(places)
      end

      post '/api/units/:id/parts' do
        allow!(:edit_units)
        once(201, :places) do
          input = contract!(Contracts::NewAssetFitting)
          Models::AssetFitting.fit(held_unit, place!(input[:place]), input, at: Time.now.utc)
          nil
        end
      end

      post '/api/units/:id/parts/take-off' do
        allow!(:edit_units)
        once(200, :places) do
          place = contract!(Contracts::AssetTakeOff)[:place]
          Models::AssetFitting.take_off(held_unit, place, at: Time.now.utc) || raise(Refusals::NotFound, 'This place is empty already')
          nil
        end
      end

      post '/api/parts' do
        allow!(:edit_units)
        once(201, :record) { Models::Asset.establish(contract!(Contracts::NewAsset)) }
      end

      get '/api/parts/:id' do
        allow!(:read)
        json(record(find!(Models::Asset.dataset, id_param, 'part')))
      end

      post '/api/parts/:id/scrap' do
        allow!(:edit_units)
        once(200, :record) { held_asset.scrap(contract!(Contracts::WithReason)[:reason], at: Time.now.utc) }
      end

      post '/api/parts/:id/keep' do
        allow!(:edit_units)
        once(200, :record) { held_asset.keep }
      end

      private

      def assets = Queries::UnitAssets.new(find!(Models::Unit.dataset, id_param, 'unit'))
      def places(_about = nil) = Presenters::UnitAssets.call(assets)
      def held_asset = hold!(Models::Asset.dataset, id_param, 'part')

      def held_unit
        hold!(Models::Unit.dataset, id_param, 'unit').tap do |unit|
          raise Refusals::InvalidInput.new('This unit is retired: bring it back first', fields: {}) if unit.retired_at
        end
      end

      def place!(key)
        assets.places.find(key) || raise(Refusals::InvalidInput.new('This unit has no such place: its sheets may have changed',
                                                                    fields: { 'place' => ['not on this unit'] }))
      end

      def record(about) = Presenters::Asset.record(Queries::AssetRecord.new(about.is_a?(String) ? Models::Asset.with_pk!(about) : about))
    end
  end
end
