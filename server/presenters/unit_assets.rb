# frozen_string_literal: true

module Server
  module Presenters
    # The places of a unit with the individuals in them, what may be fitted there, what to look at after a stronger alternator.
    class UnitAssets
      CORE = Wattomneum

      # @param assets [Queries::UnitAssets]
      def self.call(assets) = new(assets).call

      def initialize(assets)
        @assets = assets
      end

      def call
        { unit: @assets.unit.values.slice(:id, :number, :name), places: @assets.places.all.map { |place| shown(place) },
          past: @assets.fittings.reject { |one| one.during.end.nil? }.map { |one| past(one) },
          spares: @assets.spares.map { |one| Asset.call(one) } }
      end

      private

      def shown(place)
        fitting = @assets.at(place)
        kind = CORE::Assets::Kinds.fetch(place.kind)
        { key: place.key, kind: place.kind, label: place.label, rating_label: "#{kind.rating.label}, #{kind.rating.unit}",
          asset: fitting && Asset.call(fitting.asset), fitted_at: fitting && fitting.during.begin.iso8601,
          replaced_at: @assets.replaced_since(place)&.iso8601, retrofit: fitting && retrofit(fitting),
          cautions: CORE::Safety::Cautions.fetch_all(kind.cautions).map(&:text) }
      end

      def past(fitting)
        { label: fitting.label, tag: fitting.asset.tag, id: fitting.asset_id, from: fitting.during.begin.iso8601, to: fitting.during.end.iso8601 }
      end

      def retrofit(fitting)
        return if fitting.rating_before.nil? || fitting.asset.rating.nil?

        found = CORE::Charging::Retrofit.new(from_ampere: fitting.rating_before, to_ampere: fitting.asset.rating)
        { words: found.words, checks: CORE::Charging::Retrofit::CHECKS } if found.worth_a_look?
      end
    end
  end
end
