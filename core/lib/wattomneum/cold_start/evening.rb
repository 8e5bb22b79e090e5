# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # How likely a unit is not to start at dawn, by its stored threshold: nothing but sums, so that a whole fleet is one query.
    #
    # Formula: S = .89 - 1.25 q n; mu = T0 + g (.89 - S) - b (warmth - 1.4); P = Phi((mu - T) / sqrt(r^2 (v + (g s_S)^2 + 2.2^2) + 1.3^2)), r as the
    # fleet's last weeks had it, 1 without them.
    class Evening
      # What is stored of a unit: celsius, variance; degrees_per_charge, degrees_per_battery_degree, slow_celsius as Threshold has them;
      # spread_ratio as Lately has it.
      Stored = Struct.new(:celsius, :variance, :degrees_per_charge, :degrees_per_battery_degree, :slow_celsius, :spread_ratio,
                          keyword_init: true) do
        # @param known [#celsius] that answers to all of them
        # @return [Stored]
        def self.of(known) = new(**members.to_h { |key| [key, known.public_send(key)] })
        def initialize(spread_ratio: 1.0, **) = super
      end
      # Charge at dawn: ratio, and how far it may be off
      Charge = Struct.new(:ratio, :spread, keyword_init: true)

      LOW_SPREAD, MORNING_SPREAD, MEASURED_SPREAD = %w[low_celsius morning_celsius measured_celsius].map { |key| Table.figure('night', key) }
      EVEN = 0.5
      FLAT_RATIO = Table.figure('charge', 'flat_ratio')
      private_constant :LOW_SPREAD, :MORNING_SPREAD, :MEASURED_SPREAD, :EVEN, :FLAT_RATIO

      # @param nights_parked [Numeric] since it last ran long enough to charge
      # @param capacity_ampere_hour [Float] of the bank
      # @param awake_ampere [Float] what stays on, measured where it was
      # @return [Charge]
      # @example 3 nights, 100 Ah   # => 0.854
      def self.charge(nights_parked:, capacity_ampere_hour:, awake_ampere: Table.figure('charge', 'awake_ampere'))
        lost = awake_ampere * 24.0 / capacity_ampere_hour * nights_parked
        Charge.new(ratio: [Inputs.usual_charge - (Table.figure('charge', 'losses') * lost), 0.0].max,
                   spread: Table.figure('charge', 'spread') + (Table.figure('charge', 'spread_of_lost') * lost))
      end

      # @param day_before_celsius [Float, nil] mean of the day before
      # @param low_celsius [Float]
      # @return [Float] degC by which batteries are warmer at dawn than on a usual night
      def self.warmer_celsius(day_before_celsius, low_celsius)
        return 0.0 if day_before_celsius.nil?

        (Table::DATA.fetch('day_before_share') * (day_before_celsius - low_celsius)) - Table::INPUTS.dig('battery_warmer_celsius', 'value')
      end

      # @param stored [Stored]
      # @param capacity_ampere_hour [Float] of the bank
      # @param low_celsius [Float]
      # @param day_before_celsius [Float, nil]
      # @param nights_parked [Numeric]
      # @param asleep [Hash] awake_ampere where it was measured
      # @return [Evening] the one before a dawn
      def self.of(stored, capacity_ampere_hour:, low_celsius:, day_before_celsius:, nights_parked: 1, **asleep)
        new(stored, charge: charge(nights_parked: nights_parked, capacity_ampere_hour: capacity_ampere_hour, **asleep),
                    warmer_celsius: warmer_celsius(day_before_celsius, low_celsius))
      end

      # How long a unit may stand in such cold before it is likelier not to start than to start, or before half its charge is gone.
      #
      # @param stored [Stored]
      # @param most [Integer] nights that are looked at
      # @param low_celsius [Float]
      # @param night [Hash] the rest of what .of takes
      # @return [Integer] nights, most where they are not enough; 0 where it is so already
      def self.nights_standing(stored, most:, low_celsius:, **night)
        fails = (1..most).find do |nights|
          evening = of(stored, low_celsius: low_celsius, nights_parked: nights, **night)
          evening.flat? || evening.chance(low_celsius) > EVEN
        end
        fails ? fails - 1 : most
      end

      # @param stored [Stored]
      # @param charge [Charge]
      # @param warmer_celsius [Float] batteries against those of a usual night
      def initialize(stored, charge:, warmer_celsius: 0.0)
        @stored = stored
        @charge = charge
        @warmer = warmer_celsius
        freeze
      end

      # @return [Float] threshold tonight, degC
      def celsius
        @stored.celsius + (@stored.degrees_per_charge * (Inputs.usual_charge - @charge.ratio)) - (@stored.degrees_per_battery_degree * @warmer)
      end

      # @return [Charge]
      attr_reader :charge

      # @param low_celsius [Float] forecast
      # @param won_celsius [Float] by how much the threshold was brought down for this night
      # @return [Float] probability of no start
      def chance(low_celsius, won_celsius: 0.0) = Numerics::Normal.below((celsius - won_celsius - low_celsius) / spread)

      # @return [Float] degC, of threshold and morning together
      def spread = Math.sqrt(((@stored.spread_ratio**2) * own_variance) + (LOW_SPREAD**2))

      # @return [Float] degC squared, of threshold and morning, as the unit alone has it
      def own_variance = @stored.variance + mornings_variance

      # @return [Boolean] whether so little charge is left that the threshold of a charged unit says nothing of it
      def flat? = @charge.ratio < FLAT_RATIO

      # @return [Boolean] whether its batteries may be ice at this temperature: then it is neither charged nor jumped
      def may_freeze?(low_celsius) = low_celsius <= Batteries::StateOfCharge.freezing_celsius(charge_percent: @charge.ratio * 100.0)

      # @param low_celsius [Float] as it was measured
      # @return [Morning] what an outcome teaches
      def morning(low_celsius)
        Morning.new(off_celsius: celsius - @stored.celsius, slow_celsius: @stored.slow_celsius, low_celsius: low_celsius,
                    variance: mornings_variance + (MEASURED_SPREAD**2))
      end

      private

      def mornings_variance = ((@stored.degrees_per_charge * @charge.spread)**2) + (MORNING_SPREAD**2)
    end
  end
end
