# frozen_string_literal: true

module Server
  module Queries
    # The batteries that stand in a unit, each by its label and what was last read of it.
    class LabelledBank
      CORE = Wattomneum

      # @param fittings [Array<Models::Fitting>] that stand now, with their batteries
      # @param system [Wattomneum::Units::ElectricalSystem]
      def initialize(fittings, system)
        @fittings = fittings
        @system = system
      end

      # @return [Array<CORE::ColdStart::BankParts::Part>] of every position
      def parts
        @parts ||= @system.positions.map do |position|
          battery = @system.batteries[position]
          CORE::ColdStart::BankParts::Part.new(position: position, sae_ampere: battery&.rating&.sae_ampere, rest_volt: last('rest_voltage', position),
                                               health_ratio: battery && health_ratio(battery, position))
        end
      end

      private

      def health_ratio(battery, position)
        measured = last('battery_test', position)
        measured && (CORE::Batteries::Health.percent(measured_ampere: measured, rated_ampere: battery.rating.ampere) / 100.0)
      end

      # SQL: select distinct on (battery_id, test_key) ... from reading where battery_id in ? and test_key in ('battery_test', 'rest_voltage')
      #      and <standing> order by battery_id, test_key, taken_at desc
      def last(test_key, position)
        @last ||= Models::Reading.standing.where(battery_id: @fittings.map(&:battery_id), test_key: %w[battery_test rest_voltage])
                                 .where(Sequel[:value] > 0.0).distinct(:battery_id, :test_key)
                                 .order(:battery_id, :test_key, Sequel.desc(:taken_at)).select_hash(%i[battery_id test_key], :value)
        @last[[@fittings.find { |fitting| fitting.position == position }&.battery_id, test_key]]
      end
    end
  end
end
