# frozen_string_literal: true

# A winter by another hand: units that share neither battery, starter, oil nor habits with Practice::Winter or with the forecast. They age
# through the winter, are driven short or long, get their oil changed, are heated by night now and then, and are tapped wrong.
#
# Sources, from memory: Butler-Volmer overvoltage as asinh; Arrhenius for the electrolyte; Walther's law (ASTM D341) for oil of 15W-40 and 5W-30
# by its viscosities at 40 and 100 degC; torque of cranking with the root of viscosity and speed.
module OtherWinter
  KELVIN = 273.15
  # mm^2/s at 40 and 100 degC
  OILS = { '15W-40' => [105.0, 14.2], '5W-30' => [70.0, 11.8] }.freeze
  Dawn = Struct.new(:oil_celsius, :battery_celsius, keyword_init: true)

  def self.viscosity((at40, at100), celsius)
    double = ->(value) { Math.log10(Math.log10(value + 0.7)) }
    low, high = [40.0, 100.0].map { |at| Math.log10(at + KELVIN) }
    slope = (double[at40] - double[at100]) / (high - low)
    (10**(10**(double[at40] - (slope * (Math.log10(celsius + KELVIN) - low))))) - 0.7
  end

  class Unit
    attr_reader :batteries, :rating_ampere, :control_unit, :heat_aid

    def initialize(random)
      @random = random
      @batteries = random.rand(2) + 1
      @control_unit = random.rand < 0.5
      @heat_aid = random.rand < 0.6
      @rating_ampere = [680.0, 800.0, 1000.0][random.rand(3)]
      @age = random.rand(0.0..6.0)
      @health = (1.0 - (0.05 * @age) + gauss(0.08)).clamp(0.4, 1.1)
      @path_ohm = @batteries * 0.00035 * 1000 / @rating_ampere * Math.exp(gauss(0.5))
      @oil = random.rand < 0.7 ? '15W-40' : '5W-30'
      @stiff = Math.exp(gauss(0.12))
      @needs_rpm = 85.0 * (1 + gauss(0.1))
      @browns_out = @batteries * (7.8 + gauss(0.4))
      @short_share = random.rand(0.1..0.8)
      @heater = random.rand < 0.25
      @oil_day = random.rand < 0.3 ? random.rand(15..45) : nil
      @charge = 0.92
      @day = 0
    end

    # @return [Array(String, String)] how it started, and what was tapped
    def morning(night, nights_parked)
      live(nights_parked)
      heated = @heater && night.forecast < -9.0 && @random.rand < 0.6
      warm = 0.3 * (night.day_before - night.low)
      dawn = Dawn.new(oil_celsius: night.low + 1.5 + (heated ? 30.0 : 0.0) + gauss(1.5), battery_celsius: night.low + warm + gauss(1.0))
      outcome = cranked(dawn)
      [outcome, tapped(outcome, heated)]
    end

    def seen(celsius)
      ampere, rpm, posts = turned(celsius, celsius)
      WinterLeague::SEEN.new(rest_volt: (rest_volt + gauss(0.02)).round(2), posts_volt: (posts + gauss(0.04 * batteries)).round(2),
                             drop_volt: ((ampere * @path_ohm) + gauss(0.03)).clamp(0.02..).round(2), ampere: (ampere * (1 + gauss(0.04))).round,
                             celsius: (celsius + gauss(1.5)).round, speed_rpm: (@random.rand < 0.4 ? (rpm * (1 + gauss(0.03))).round : nil),
                             tester_ratio: (@health * (1 + gauss(0.1))).round(2), age_years: @age.round(1))
    end

    private

    # What a day does to it: short runs leave it emptier, batteries age, oil is changed once.
    def live(nights_parked)
      @day += 1
      @health -= 0.0006 * (0.5 + @random.rand)
      run = @random.rand < @short_share ? -0.02 : 0.05
      @charge = (@charge + run - (0.006 * nights_parked)).clamp(0.55, 0.95)
      @oil, @stiff = '5W-30', @stiff * Math.exp(gauss(0.05)) if @day == @oil_day # rubocop:disable Style/ParallelAssignment -- one change of oil
    end

    def tapped(outcome, heated)
      return %w[started slow failed][@random.rand(3)] if @random.rand < 0.03
      return @random.rand < 0.8 ? 'helped' : outcome if heated

      outcome == 'slow' && @random.rand < 0.3 ? 'started' : outcome
    end

    def rest_volt = batteries * (11.95 + (0.72 * @charge))

    def posts_volt(ampere, celsius)
      kelvin = celsius + KELVIN
      ohm = 2.6 / (@rating_ampere * @health) * Math.exp(1500.0 * ((1 / kelvin) - (1 / 298.15))) / (@charge**0.5)
      onset = 0.06 * @rating_ampere * @health * Math.exp(-2600.0 * ((1 / kelvin) - (1 / 298.15)))
      rest_volt - (batteries * ((ampere * ohm) + (0.16 * Math.asinh(ampere / onset))))
    end

    def nominal_ampere = @rating_ampere * 0.27 / Math.sqrt(batteries)
    def own_ohm = batteries * 10.5 / nominal_ampere * 0.22
    def flux = ((batteries * 10.3) - (nominal_ampere * own_ohm)) / 210.0

    # Bisection on the speed at which the starter's torque is what the engine asks for.
    def turned(oil_celsius, battery_celsius)
      low = 0.0
      high = 400.0
      16.times do
        rpm = (low + high) / 2
        drive(rpm, battery_celsius) > load(rpm, oil_celsius) ? low = rpm : high = rpm
      end
      ampere = ampere_at(low, battery_celsius)
      [ampere, low, posts_volt(ampere, battery_celsius)]
    end

    def drive(rpm, celsius) = ampere_at(rpm, celsius) / nominal_ampere

    def ampere_at(rpm, celsius)
      low = 0.0
      high = 8 * nominal_ampere
      14.times do
        ampere = (low + high) / 2
        posts_volt(ampere, celsius) - (ampere * (own_ohm + @path_ohm)) > flux * rpm ? low = ampere : high = ampere
      end
      low
    end

    def load(rpm, celsius)
      thick = OtherWinter.viscosity(OILS.fetch(@oil), celsius) / OtherWinter.viscosity(OILS.fetch('15W-40'), 27.0)
      @stiff * (0.6 + (0.4 * Math.sqrt(thick * [rpm, 1.0].max / 210.0)))
    end

    def cranked(dawn)
      _, rpm, posts = turned(dawn.oil_celsius, dawn.battery_celsius)
      needs = @needs_rpm * (1 + ((heat_aid ? 0.007 : 0.018) * [5.0 - dawn.oil_celsius, 0.0].max))
      return 'failed' if rpm < needs || (control_unit && posts < @browns_out)

      rpm < 1.2 * needs ? 'slow' : 'started'
    end

    def gauss(spread) = spread * Wattomneum::Numerics::Normal.drawn(@random)
  end
end
