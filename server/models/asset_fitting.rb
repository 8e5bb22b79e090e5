# frozen_string_literal: true

module Server
  module Models
    # Which individual stood in which place of which unit, from when to when.
    class AssetFitting < Sequel::Model(:asset_fitting)
      many_to_one :asset, class: 'Server::Models::Asset'
      many_to_one :unit, class: 'Server::Models::Unit'

      dataset_module do
        def current = where(Sequel.function(:upper_inf, :during))
      end

      class << self
        # What stood there comes off. An alternator brings its rating to the unit, which is judged by it.
        #
        # @param unit [Unit] held
        # @param place [Wattomneum::Assets::Places::Place]
        # @param input [Hash] of Contracts::NewAssetFitting
        # @param at [Time]
        # @raise [Refusals::InvalidInput] if it stands elsewhere, is of another kind, or scrapped
        def fit(unit, place, input, at:)
          asset = input[:asset] ? Asset.establish({ **input[:asset], kind: place.kind }) : from_the_shelf(input[:asset_id], place)
          take_off(unit, place.key, at: at)
          before = unit.alternator_rating_ampere if place.kind == 'alternator'
          create(asset_id: asset.id, unit_id: unit.id, place: place.key, label: place.label, rating_before: before, during: since(at))
          unit.update(alternator_rating_ampere: asset.rating) if before && asset.rating && asset.rating != before
        rescue Sequel::Postgres::ExclusionConstraintViolation
          raise Refusals::InvalidInput.new('It stands in another unit: take it off there first', fields: { 'asset_id' => ['stands in another unit'] })
        end

        # @param unit [Unit]
        # @param place [String]
        # @return [AssetFitting, nil] nil where the place was empty
        def take_off(unit, place, at:)
          fitting = current.first(unit_id: unit.id, place: place) or return
          fitting.update(during: Sequel::Postgres::PGRange.new(fitting.during.begin, [at, fitting.during.begin + 0.001].max,
                                                               exclude_end: true, db_type: 'tstzrange'))
        end

        private

        def since(time) = Sequel::Postgres::PGRange.new(time, nil, exclude_end: true, db_type: 'tstzrange')

        def from_the_shelf(id, place)
          asset = Asset.for_update.first(id: id)
          why = if asset.nil? then 'is not on record'
                elsif asset.scrapped_at then 'was scrapped'
                elsif asset.kind != place.kind then "is a #{asset.kind}"
                end
          return asset if why.nil?

          raise Refusals::InvalidInput.new("No such part for this place on the shelf: it #{why}", fields: { 'asset_id' => [why] })
        end
      end
    end
  end
end
