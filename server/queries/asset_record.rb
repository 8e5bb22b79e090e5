# frozen_string_literal: true

module Server
  module Queries
    # One starter, alternator or relay through its life: where it stood, and what was read there of its kind meanwhile.
    class AssetRecord
      MOST = 100
      private_constant :MOST
      attr_reader :asset

      # @param asset [Models::Asset]
      def initialize(asset)
        @asset = asset
      end

      # @return [Array<Models::AssetFitting>] the newest first, units loaded
      def fittings
        @fittings ||= Models::AssetFitting.where(asset_id: asset.id).eager(:unit).order(Sequel.desc(Sequel.function(:lower, :during))).all
      end

      # SQL: select reading.* from <standing reading> join asset_fitting using (unit_id) where asset_id = ? and test_key in ?
      #      and taken_at <@ during order by taken_at desc limit 100
      #
      # @return [Array<Models::Reading>]
      def readings
        meanwhile = Sequel.pg_range_op(Sequel[:asset_fitting][:during]).contains(Sequel.cast(Sequel[:reading][:taken_at], :timestamptz))
        @readings ||= Models::Reading.standing.where(Sequel[:reading][:test_key] => asset.core_kind.tests)
                                     .join(:asset_fitting, unit_id: Sequel[:reading][:unit_id]).where(Sequel[:asset_fitting][:asset_id] => asset.id)
                                     .where(meanwhile).select_all(:reading).order(Sequel.desc(Sequel[:reading][:taken_at])).limit(MOST)
                                     .eager(:battery, :from_place, :to_place).all
      end

      def judgements = @judgements ||= Models::Judgement.newest_of(readings.map(&:id))
    end
  end
end
