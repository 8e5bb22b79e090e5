# frozen_string_literal: true

module Server
  module Models
    # What the mornings of the whole fleet say of forecasts made from readings: one row.
    class FleetShift < Sequel::Model(:fleet_shift)
      unrestrict_primary_key
      CORE = Wattomneum
      # Units that wait for each other meanwhile.
      AT_ONCE = 100
      private_constant :AT_ONCE

      class << self
        # @return [CORE::ColdStart::FleetShift::Shift]
        def now
          first&.then { |row| CORE::ColdStart::FleetShift::Shift.new(celsius: row.celsius, ratio: row.ratio) } || CORE::ColdStart::FleetShift::Shift.none
        end

        # Every few days, and the thresholds after it.
        #
        # @param now [Time]
        def work_out(now: Time.now.utc)
          row = first
          return if row && now - row.worked_out_at < CORE::ColdStart::Table::DATA.dig('fleet_shift', 'every_days') * 86_400

          best = CORE::ColdStart::FleetShift.new(seen).best
          dataset.insert_conflict(target: :single, update: { celsius: best.celsius, ratio: best.ratio, worked_out_at: now })
                 .insert(single: true, celsius: best.celsius, ratio: best.ratio, worked_out_at: now)
          StartThreshold.select_map(:unit_id).each_slice(AT_ONCE) { |unit_ids| StartThreshold.hear_mornings(unit_ids) }
        end

        private

        def seen
          StartThreshold.exclude(coldest_start: nil, warmest_failure: nil).map do |row|
            CORE::ColdStart::FleetShift::Seen.new(celsius: row.reading_celsius, variance: row.reading_variance,
                                                  coldest_start: row.coldest_start, warmest_failure: row.warmest_failure)
          end
        end
      end
    end
  end
end
