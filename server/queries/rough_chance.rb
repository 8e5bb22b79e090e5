# frozen_string_literal: true

module Server
  module Queries
    # How likely a unit is not to start, in SQL, near enough to put a fleet in order before the first of them are worked out exactly.
    #
    # Formula: Evening's, with Phi(z) as 1 / (1 + exp(-1.702 z)), which is off by 0.0095 at most (Johnson, Kotz and Balakrishnan, from memory).
    module RoughChance
      CORE = Wattomneum
      LOGISTIC = 1.702
      private_constant :LOGISTIC

      class << self
        # @return [Sequel::SQL::NumericExpression] chance x weight, over start_threshold, unit and night
        def consequence = weight / (Sequel.function(:exp, z * -LOGISTIC) + 1.0)

        private

        def z = (mean - Sequel[:night][:low_celsius]) / Sequel.function(:sqrt, variance)

        def mean
          of[:celsius] + (of[:degrees_per_charge] * lost * figure('charge', 'losses')) - (of[:degrees_per_battery_degree] * warmer)
        end

        def variance
          charge = (lost * figure('charge', 'spread_of_lost')) + figure('charge', 'spread')
          own = of[:variance] + Sequel.function(:power, of[:degrees_per_charge] * charge, 2) + (figure('night', 'morning_celsius')**2)
          (Sequel.function(:power, of[:spread_ratio], 2) * own) + (figure('night', 'low_celsius')**2)
        end

        # Share of its charge that went while it stood.
        def lost
          awake = Sequel.function(:coalesce, of[:asleep_ampere], figure('charge', 'awake_ampere'))
          awake * 24.0 * nights_parked / of[:capacity_ampere_hour]
        end

        def nights_parked
          stood = Sequel[:night][:dawn] - Sequel[:unit][:parked_since]
          Sequel.function(:least, Sequel.function(:greatest, Sequel.function(:coalesce, stood, 1), 1), Models::Unit::MOST_NIGHTS)
        end

        def warmer
          over = (Sequel[:night][:day_before_celsius] - Sequel[:night][:low_celsius]) * CORE::ColdStart::Table::DATA.fetch('day_before_share')
          Sequel.function(:coalesce, over - CORE::ColdStart::Table::INPUTS.dig('battery_warmer_celsius', 'value'), 0.0)
        end

        def weight = Sequel.case(CORE::ColdStart::Consequence::ROWS.transform_values { |row| row.fetch('weight') }, 1.0, Sequel[:unit][:matters])
        def of = Sequel[:start_threshold]
        def figure(section, key) = CORE::ColdStart::Table.figure(section, key)
      end
    end
  end
end
