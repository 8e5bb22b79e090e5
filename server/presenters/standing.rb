# frozen_string_literal: true

module Server
  module Presenters
    # What a unit is like, as its line of the board says it: figures to be drawn to one scale, when they were read, and what was never read.
    module Standing
      CORE = Wattomneum

      # @param row [Hash] columns of unit, unit_standing and start_threshold, days of its yard, and what is open, as Queries::UnitList has them
      # @param limits [CORE::Limits::Table]
      # @return [Hash]
      def self.call(row, limits)
        { batteries: batteries(row, limits), charging: charging(row), path: path(row), cold: cold(row), grounds: grounds(row),
          faults: { count: row[:faults] || 0, again: row[:again] },
          open: { jobs: row[:open_jobs] || 0, **%i[held watched temporary].to_h { |kind| [kind, row[kind] || false] } } }
      end

      def self.batteries(row, limits)
        return if row[:battery_percent].nil?

        { percent: row[:battery_percent].round, verdict: row[:battery_verdict], on: row[:battery_on]&.iso8601,
          yearly_percent: row[:battery_yearly_percent]&.round, untested: row[:batteries_untested],
          least_percent: limits.fetch('battery.health_least').value.round }
      end

      def self.charging(row)
        return if row[:charging_volt].nil?

        { volt: row[:charging_volt].round(2), low_volt: row[:charging_low_volt], high_volt: row[:charging_high_volt],
          blocks: row[:system_volt] / 12.0, verdict: row[:charging_verdict], on: row[:charging_on]&.iso8601,
          yearly_volt: row[:charging_yearly_volt]&.round(2) }
      end

      def self.path(row)
        return if row[:path_at].nil?

        { feed_milliohm: row[:feed_milliohm]&.round(2), return_milliohm: row[:return_milliohm]&.round(2), verdict: row[:path_verdict],
          on: row[:path_on]&.iso8601 }
      end

      # Even odds before a usual night at zero, after a day's run, and how far off they may be.
      def self.cold(row)
        return if row[:celsius].nil?

        stored = CORE::ColdStart::Evening::Stored.new(**row.slice(*CORE::ColdStart::Evening::Stored.members))
        evening = CORE::ColdStart::Evening.of(stored, capacity_ampere_hour: row[:capacity_ampere_hour], low_celsius: 0.0, day_before_celsius: nil,
                                                      **(row[:asleep_ampere] ? { awake_ampere: row[:asleep_ampere] } : {}))
        { celsius: evening.celsius.round, spread_celsius: evening.spread.round, tested: row[:tested],
          mended_since: !row[:tested] && !row[:read_at].nil? }
      end

      def self.grounds(row)
        return if row[:ground_at].nil?

        { milliohm: row[:ground_milliohm].round(2), on: row[:ground_on]&.iso8601, due_on: row[:ground_due_on].iso8601,
          due: row[:ground_due_on] <= Date.today }
      end
      private_class_method :batteries, :charging, :path, :cold, :grounds
    end
  end
end
