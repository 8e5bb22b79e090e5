# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # How much faster than it must a unit turns on a cold morning, and how much higher than its control unit needs the posts stay: the loop of
    # Cranking::ColdCrank with every input a number that may be off. Thousands are worked out for a fleet, so it is plain.
    #
    # Formula: see Cranking::ColdCrank; d = (D(Te) / D(Tt))^e, r = (c(Tt) / c(Tb))^ce k(St) / k(S), n_min = n0 + s max(5 - Te, 0);
    # margins n / n_min and posts / v_min.
    class Margins
      COLD_UNDER_CELSIUS = Table::DATA.fetch('cold_under_celsius')
      PLAIN = { oil_warmer_celsius: :@oil_warmer, battery_warmer_celsius: :@battery_warmer, speed_rpm: :@speed_rpm, firing_rpm: :@firing_rpm,
                firing_rpm_per_degree: :@firing_per_degree, control_unit_volt: :@control_unit_volt, torque_speed_share: :@torque_share,
                demand_exponent: :@demand_exponent, cold_exponent: :@cold_exponent }.freeze
      private_constant :COLD_UNDER_CELSIUS, :PLAIN

      # @param inputs [Inputs]
      # @param demand [#ratio] engine demand by oil temperature
      def initialize(inputs, demand: Table::LogDemand)
        @rest_volt = inputs.rest_volt
        @batteries = inputs.batteries_in_series
        @needs_posts = inputs.control_unit?
        @demand = demand
        @mended = Mended.nothing
        take(inputs.values)
      end

      # @param key [Symbol] the one input that is off
      # @param by [Float] how far
      # @return [Margins]
      def off(key, by) = dup.tap { |one| one.shift(key, by) }

      # @param mended [Mended] what is otherwise than at the test
      # @return [Margins]
      def mended(mended)
        dup.tap do |one|
          one.mended = mended
          one.take(@values)
        end
      end

      # @param celsius [Float] air at dawn
      # @param charge_ratio [Float] of the batteries
      # @param battery_celsius [Float] of the batteries; where it is not said, by the usual night
      # @return [Float] the smaller margin; 1 is just enough
      def least(celsius, charge_ratio, battery_celsius: celsius + @battery_warmer)
        speed, posts = both(celsius, charge_ratio, battery_celsius: battery_celsius)
        @needs_posts && posts < speed ? posts : speed
      end

      # @param celsius [Float] air at dawn
      # @param charge_ratio [Float]
      # @param battery_celsius [Float]
      # @return [Array(Float, Float)] of speed and of posts
      def both(celsius, charge_ratio, battery_celsius: celsius + @battery_warmer)
        oil = celsius + @oil_warmer
        turning, posts = turned(oil, charge_ratio, battery_celsius)
        colder = COLD_UNDER_CELSIUS - oil
        [turning / (@firing_rpm + (colder.positive? ? @firing_per_degree * colder : 0.0)), posts / @control_unit_volt]
      end

      # @param oil_celsius [Float]
      # @param charge_ratio [Float]
      # @param battery_celsius [Float]
      # @return [Array(Float, Float)] rpm, and volts at the posts while it turns
      def turned(oil_celsius, charge_ratio, battery_celsius)
        demand = (demand_ratio(oil_celsius) / @demand_at_test)**@demand_exponent
        sag = @sag * bank_ratio(charge_ratio, battery_celsius)
        open = open_volt(charge_ratio)
        lost = (sag + @lost) * demand
        ratio = (open - (lost * (1.0 - @torque_share))) / (@back_emf + (lost * @torque_share))
        return [0.0, open - (sag * open / (sag + @lost))] unless ratio.positive?

        [@speed_rpm * ratio, open - (sag * demand * (1.0 - @torque_share + (@torque_share * ratio)))]
      end

      protected

      attr_writer :mended

      # Most inputs stand as they are in the loop; of the others everything follows anew.
      def shift(key, by)
        name = PLAIN[key]
        return instance_variable_set(name, instance_variable_get(name) + by) if name

        take(@values.merge(key => @values.fetch(key) + by))
      end

      def take(values)
        look_up(values)
        @values = values
        posts = values[:posts_volt] - values[:bank_resistance] - values[:cranking_ampere]
        at_starter = posts - values[:drop_volt]
        @sag = (@rest_volt - posts) * @mended.bank_ratio
        @lost = (values[:drop_volt] * @mended.drop_ratio) + (values[:own_resistance_share] * at_starter)
        @back_emf = (1.0 - values[:own_resistance_share]) * at_starter
        PLAIN.each { |key, name| instance_variable_set(name, values[key]) }
        @oil_warmer += @mended.heated_celsius
      end

      private

      # What two tables say of the test is looked up again only where that is off.
      def look_up(values)
        @charge_at_test = Table.charge_factor(values[:charge_ratio]) if @values.nil? || values[:charge_ratio] != @values[:charge_ratio]
        return if @values && values[:test_celsius] == @values[:test_celsius]

        @demand_at_test = @demand.ratio(values[:test_celsius])
        @cold_at_test = Table.cold_factor(values[:test_celsius])
      end

      def bank_ratio(charge_ratio, battery_celsius)
        at_charge(charge_ratio)
        ((@cold_at_test / cold_factor(battery_celsius))**@cold_exponent) * @charge_at_test / @charge_factor
      end

      # The same cold is asked for again and again, one input off after another.
      def demand_ratio(celsius)
        return @demand_then if @demand_celsius == celsius

        @demand_celsius = celsius
        @demand_then = @demand.ratio(celsius)
      end

      def cold_factor(celsius)
        return @cold_then if @cold_celsius == celsius

        @cold_celsius = celsius
        @cold_then = Table.cold_factor(celsius)
      end

      def open_volt(charge_ratio)
        at_charge(charge_ratio)
        @open_volt
      end

      # So is the same charge.
      def at_charge(charge_ratio)
        return if @charge_ratio == charge_ratio

        @charge_ratio = charge_ratio
        @charge_factor = Table.charge_factor(charge_ratio)
        @open_volt = @batteries * Table.rest_volt(charge_ratio)
      end
    end
  end
end
