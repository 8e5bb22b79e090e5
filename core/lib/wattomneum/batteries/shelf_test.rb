# frozen_string_literal: true

module Wattomneum
  module Batteries
    # A tester put on a spare: judged as it would be in a unit. On the shelf it stands alone; charged just now, its surface charge is still on.
    class ShelfTest
      POSITION = 'A'
      private_constant :POSITION

      # @param battery [Battery]
      # @param tester_ampere [Float] by the standard on its label
      # @param rest_volt [Float] read just before
      # @param celsius [Float, nil] of its case
      # @param settled [Boolean] rested four hours, or its surface charge taken off
      # @param limits [Limits::Table]
      def initialize(battery, tester_ampere:, rest_volt:, celsius:, settled:, limits: Limits::Table.shipped)
        @battery = battery
        @limits = limits
        said = { 'tested_alone' => 'yes', 'surface_charge_removed' => settled ? 'yes' : 'no' }
        said['battery_temperature_celsius'] = celsius if celsius
        @rest = reading('rest_voltage', rest_volt, said, taken_at: 0)
        @test = reading('battery_test', tester_ampere, { **said, 'tester_standard' => battery.rating.standard }, taken_at: 1)
      end

      # @return [Evidence::Judgement] unproven, with charge and retest, where its charge was under the limit
      def judgement
        Evidence::Judging.call(@test, Evidence::Circumstances.new(system: system, readings: [@rest, @test], limits: @limits))
      end

      private

      def system
        Units::ElectricalSystem.new(system_volt: 12, arrangement: 'single', battery_count: 1, usual_cranking_current_ampere: nil,
                                    batteries: { POSITION => @battery })
      end

      def reading(key, value, said, taken_at:)
        Readings::Reading.new(id: key, test_key: key, position: POSITION, battery: @battery, value: value, taken_at: taken_at,
                              conditions: said.merge('value_confirmed' => 'yes'))
      end
    end
  end
end
