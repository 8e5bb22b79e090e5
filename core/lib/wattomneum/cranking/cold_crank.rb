# frozen_string_literal: true

module Wattomneum
  module Cranking
    # The same engine on another morning: what its posts, its current and its speed become when battery and oil are colder than at the
    # crank test. A cold engine asks for more torque, so more current flows, through a bank of more resistance; the starter slows until
    # its back-EMF leaves room for that current, and stands where it cannot.
    #
    # Formula, per unit of the current at the test:
    #   d = D(Te) / D(Tt); r = c(Tt) k(St) / (c(Tb) k(S)); G = sag r + drop + rho V'
    #   y = max(0, (b OCV(S) - G d (1 - w)) / ((1 - rho) V' + G d w)); current d (1 - w + w y), or b OCV / G where it stands.
    # Source: Kirchhoff's voltage law around the start loop; D, c and k common practice, from memory; w ours, from studies.
    class ColdCrank
      # How much the torque that an engine asks for rises with its speed, the flux of the starter included.
      TORQUE_SPEED_SHARE = 0.12
      # A battery follows the night slowly, and the oil stays a little warmer than the air (common practice).
      DAY_BEFORE_SHARE = 0.35
      OIL_WARMER_CELSIUS = 2.5

      # @param test [CrankTest]
      # @param battery_celsius [Float]
      # @param engine_celsius [Float] of the oil
      # @param charge_percent [Float] of the batteries
      # @raise [OutOfTableRangeError] where the engine is colder than the chart of demand goes
      def initialize(test, battery_celsius:, engine_celsius:, charge_percent:)
        @test = test
        @open_volt = test.batteries_in_series * Batteries::StateOfCharge.rest_voltage(charge_percent: charge_percent)
        @demand = EngineDemand.ratio(temperature_celsius: engine_celsius) / EngineDemand.ratio(temperature_celsius: test.celsius)
        @may_freeze = battery_celsius <= Batteries::StateOfCharge.freezing_celsius(charge_percent: charge_percent)
        @bank_ratio = stiffness(test.celsius, test.charge_percent) / stiffness(battery_celsius, charge_percent)
        freeze
      end

      # @param test [CrankTest]
      # @param low_celsius [Float] coldest air of the night
      # @param day_before_celsius [Float, nil] mean of the day before; without it the battery is as cold as the air
      # @param charge_percent [Float]
      # @return [ColdCrank] of a unit that stood out all night
      # @example -15 degC after a day of -11 degC   # batteries at -13.6, oil at -12.5
      def self.at_dawn(test, low_celsius:, charge_percent:, day_before_celsius: nil)
        warmth = DAY_BEFORE_SHARE * ((day_before_celsius || low_celsius) - low_celsius)
        new(test, battery_celsius: low_celsius + warmth, engine_celsius: low_celsius + OIL_WARMER_CELSIUS, charge_percent: charge_percent)
      end

      # @return [Float] open-circuit volts of the bank
      attr_reader :open_volt

      # @return [Float] resistance of the bank against that at the test
      attr_reader :bank_ratio

      # @return [Boolean] whether the electrolyte may be ice: then nothing here holds, and the battery is neither charged nor jumped
      def may_freeze? = @may_freeze

      # @return [Float] speed against that at the test, 0 where the starter stands
      def speed_ratio
        room = open_volt - (volts_per_current * @demand * (1 - TORQUE_SPEED_SHARE))
        [room / (@test.back_emf_volt + (volts_per_current * @demand * TORQUE_SPEED_SHARE)), 0.0].max
      end

      # @return [Boolean] whether the engine turns at all
      def turns? = speed_ratio.positive?

      # @return [Float] current against that at the test
      def current_ratio
        return open_volt / volts_per_current unless turns?

        @demand * (1 - TORQUE_SPEED_SHARE + (TORQUE_SPEED_SHARE * speed_ratio))
      end

      # @return [Float] volts at the bank's posts while cranking
      def posts_volt = open_volt - (@test.sag_volt * @bank_ratio * current_ratio)

      # @return [Float] volts that reach the starter
      def starter_volt = posts_volt - (@test.drop_volt * current_ratio)

      # @return [Float, nil] nil where the test had no current
      def ampere = @test.ampere && (@test.ampere * current_ratio)

      # @return [Float, nil] nil where the test had no speed
      def speed_rpm = @test.speed_rpm && (@test.speed_rpm * speed_ratio)

      private

      def volts_per_current
        (@test.sag_volt * @bank_ratio) + @test.drop_volt + (@test.starter_volt * CrankTest::OWN_RESISTANCE_SHARE)
      end

      def stiffness(celsius, charge_percent)
        Batteries::Tables.line('resistance_cold_factor').clamped(celsius) * Batteries::Tables.line('resistance_charge_factor').clamped(charge_percent)
      end
    end
  end
end
