# frozen_string_literal: true

module Server
  module Queries
    # The individuals of a unit in their places, now and before, what waits on the shelf for each, and what was replaced without being entered.
    class UnitAssets
      MOST_SPARES = 500
      attr_reader :unit

      # @param unit [Models::Unit]
      def initialize(unit)
        @unit = unit
      end

      def places = @places ||= Wattomneum::Assets::Places.new(circuits.system, circuits.drawn&.sheet)

      # @return [Array<Models::AssetFitting>] the newest first
      def fittings
        @fittings ||= Models::AssetFitting.where(unit_id: unit.id).eager(:asset).order(Sequel.desc(Sequel.function(:lower, :during))).all
      end

      # @param place [Wattomneum::Assets::Places::Place]
      # @return [Models::AssetFitting, nil]
      def at(place) = fittings.find { |one| one.place == place.key && one.during.end.nil? }

      # @return [Array<Models::Asset>] that may be fitted
      def spares = @spares ||= Models::Asset.loose.order(:kind, :tag).limit(MOST_SPARES).all

      # SQL: select element, max(made_at) from repair join job on job.id = job_id where unit_id = ? and action = 'replaced'
      #      and element in ('starter', 'alternator') group by element
      #
      # @param place [Wattomneum::Assets::Places::Place]
      # @return [Time, nil] when it was replaced on a job after what stands there now was entered
      def replaced_since(place)
        at = replaced[place.key] or return
        at if at(place).nil? || at(place).during.begin < at
      end

      private

      def circuits = @circuits ||= UnitCircuits.new(unit.id)

      def replaced
        jobs = Models::Job.where(unit_id: unit.id).select(:id)
        @replaced ||= Models::Repair.where(job_id: jobs, action: 'replaced', element: %w[starter alternator]).group(:element)
                                    .select_hash(:element, Sequel.function(:max, :made_at).as(:made_at))
      end
    end
  end
end
