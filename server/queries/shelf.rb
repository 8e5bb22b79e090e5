# frozen_string_literal: true

module Server
  module Queries
    # Spare batteries: each with what it was worth when it was last tested, its charge when that was last known, and where it stood before.
    class Shelf
      MOST = 500
      # battery; state: Models::BatteryState or nil; check: Models::ShelfCheck or nil; left: number of the unit that had it last, and when
      Spare = Struct.new(:battery, :state, :check, :left, :left_at, keyword_init: true)

      # @return [Array<Spare>] by tag
      def spares
        @spares ||= batteries.map do |battery|
          left = last_fittings[battery.id]
          Spare.new(battery: battery, state: states[battery.id], check: checks[battery.id], left: left&.fetch(:number),
                    left_at: left&.fetch(:left_at))
        end
      end

      # @return [Array<Models::Asset>] starters, alternators and relays that no unit has
      def parts = Models::Asset.loose.order(:kind, :tag).limit(MOST).all

      private

      def batteries = @batteries ||= Models::Battery.loose.order(:tag).limit(MOST).all
      def ids = batteries.map(&:id)
      def states = @states ||= Models::BatteryState.where(battery_id: ids).as_hash(:battery_id)
      def checks = @checks ||= Models::ShelfCheck.last_of(ids)

      # SQL: select distinct on (battery_id) battery_id, number, upper(during) as left_at from fitting join unit where battery_id in ?
      #      order by battery_id, upper(during) desc
      def last_fittings
        left = Sequel.function(:upper, :during)
        @last_fittings ||= Models::Fitting.naked.join(:unit, id: Sequel[:fitting][:unit_id]).where(battery_id: ids).distinct(:battery_id)
                                          .order(:battery_id, Sequel.desc(left)).select(:battery_id, :number, left.as(:left_at)).as_hash(:battery_id)
      end
    end
  end
end
