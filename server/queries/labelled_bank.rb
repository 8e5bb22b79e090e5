# frozen_string_literal: true

module Server
  module Queries
    # A unit's bank by the labels of its batteries and what a tester last said of each.
    class LabelledBank
      CORE = Wattomneum
      # Of a place where no battery is on record, and of a battery that no tester was on (ours).
      USUAL_SAE_AMPERE = 800.0
      UNTESTED_HEALTH = 0.85
      private_constant :USUAL_SAE_AMPERE, :UNTESTED_HEALTH

      # @param fittings [Array<Models::Fitting>] that stand now, with their batteries
      # @param system [Wattomneum::Units::ElectricalSystem]
      def initialize(fittings, system)
        @fittings = fittings
        @system = system
      end

      # @return [Float] of the whole bank, as on the day of an untested unit
      def ohm
        charge = CORE::ColdStart::Inputs.usual_charge * 100.0
        rest = CORE::Batteries::StateOfCharge.rest_voltage(charge_percent: charge)
        sources = @system.positions.map do |position|
          ohm = CORE::Batteries::InternalResistance.from_rating(
            measured_sae_ampere: sae_ampere(position) * (health(position) || UNTESTED_HEALTH), rest_volt: rest, charge_percent: charge,
            temperature_celsius: CORE::ColdStart::Table.figure('untested', 'celsius'), blocks: @system.blocks_per_battery
          )
          CORE::Batteries::Bank::Source.new(rest_volt: rest, resistance_ohm: ohm)
        end
        CORE::Batteries::Bank.equivalent(sources, arrangement: @system.arrangement).resistance_ohm
      end

      # @param celsius [Float] of the crank test
      # @return [CORE::ColdStart::BankParts, nil] nil where a battery was not tested by itself, at rest and by a tester
      def parts(celsius)
        parts = @system.positions.map do |position|
          rest = last('rest_voltage', position)
          next unless rest && health(position)

          CORE::ColdStart::BankParts::Part.new(position: position, sae_ampere: sae_ampere(position), health_ratio: health(position), rest_volt: rest)
        end
        CORE::ColdStart::BankParts.new(parts, arrangement: @system.arrangement, celsius: celsius) if parts.all?
      end

      private

      def sae_ampere(position) = @system.batteries[position]&.rating&.sae_ampere || USUAL_SAE_AMPERE

      def health(position)
        measured = last('battery_test', position) or return
        (measured / @system.batteries.fetch(position).rating.ampere).clamp(0.1, 1.3)
      end

      # SQL: select distinct on (battery_id, test_key) ... from reading where battery_id in ? and test_key in ('battery_test', 'rest_voltage')
      #      and <standing> order by battery_id, test_key, taken_at desc
      def last(test_key, position)
        @last ||= Models::Reading.standing.where(battery_id: @fittings.map(&:battery_id), test_key: %w[battery_test rest_voltage])
                                 .exclude(value: nil).distinct(:battery_id, :test_key)
                                 .order(:battery_id, :test_key, Sequel.desc(:taken_at)).select_hash(%i[battery_id test_key], :value)
        battery = @fittings.find { |fitting| fitting.position == position }&.battery_id
        @last[[battery, test_key]]
      end
    end
  end
end
