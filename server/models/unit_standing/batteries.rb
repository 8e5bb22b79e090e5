# frozen_string_literal: true

module Server
  module Models
    class UnitStanding
      # The worst of what stands in a unit, as a share of its label, and which way it goes.
      module Batteries
        NONE = { battery_percent: nil, battery_yearly_percent: nil, battery_verdict: nil, battery_at: nil, batteries_untested: 0 }.freeze
        YEAR_DAYS = 365.0
        private_constant :NONE, :YEAR_DAYS

        # SQL: select battery_state.* from fitting left join battery_state using (battery_id) where unit_id = ? and upper_inf(during)
        #
        # @param unit [Unit]
        # @return [Hash] columns
        def self.of(unit)
          rows = Fitting.current.where(unit_id: unit.id).left_join(:battery_state, battery_id: :battery_id)
                        .select(Sequel[:fitting][:battery_id], :health_percent, :verdict, :tested_at).naked.all
          tested = rows.select { |row| row[:health_percent] }
          worst = tested.min_by { |row| row[:health_percent] }
          return { **NONE, batteries_untested: rows.size } if worst.nil?

          { battery_percent: worst[:health_percent], battery_yearly_percent: yearly(worst[:battery_id]), battery_verdict: worst[:verdict],
            battery_at: worst[:tested_at], batteries_untested: rows.size - tested.size }
        end

        def self.yearly(battery_id)
          points = Queries::BatteryTrend.new([battery_id]).points(battery_id).select(&:counts)
          outlook = Wattomneum::Numerics::Outlook.new(points.map { |point| [point.day, point.health_percent] })
          outlook.slope * YEAR_DAYS if outlook.missing.nil? && outlook.moves?
        end
        private_class_method :yearly
      end
    end
  end
end
