# frozen_string_literal: true

module Wattomneum
  module Practice
    # Winters with hidden units, to learn what a forecast is worth.
    module Winter
      # A unit whose makeup nobody knows: what it does at dawn, and what instruments show of it in autumn.
      class Unit
        # celsius at dawn of air, oil and batteries; charge: ratio
        Dawn = Struct.new(:air, :oil, :battery, :charge, keyword_init: true)
        # As instruments show it; speed_rpm nil where nobody read it
        Seen = Struct.new(:rest_volt, :posts_volt, :drop_volt, :ampere, :celsius, :speed_rpm, :tester_ratio, :age_years, keyword_init: true)

        # @return [Numeric] batteries in series
        attr_reader :batteries
        # @return [Float] amperes on the label
        attr_reader :rating_ampere
        # @return [Boolean]
        attr_reader :control_unit, :heat_aid

        # What is known of a unit that is not wholly made up; nil for what is.
        Known = Struct.new(:batteries, :rating_ampere, :health, :control_unit, :heat_aid, keyword_init: true)

        # @param random [Random]
        # @param known [Known]
        def initialize(random, known: Known.new)
          @random = random
          @known = known
          made_up = [random.rand(2) + 1, random.rand < 0.6, random.rand < 0.7]
          @batteries, @control_unit, @heat_aid =
            %i[batteries control_unit heat_aid].zip(made_up).map { |key, other| known[key].nil? ? other : known[key] }
          @age = random.rand(0.0..7.0)
          build
        end

        # @param night [Nights::Night]
        # @param nights_parked [Integer]
        # @return [String] started, slow or failed
        def morning(night, nights_parked)
          dawn = dawn(night, nights_parked)
          _, turning, posts = crank(dawn)
          needs = @fires_at + (@fires_colder * [5.0 - dawn.oil, 0.0].max)
          return 'failed' if turning < needs || (control_unit && posts < @browns_out)

          turning < 1.2 * needs ? 'slow' : 'started'
        end

        # @param celsius [Float] of a mild day on which it stood long
        # @return [Seen]
        def seen(celsius)
          dawn = Dawn.new(air: celsius, oil: celsius, battery: celsius, charge: (@charge + gauss(0.03)).clamp(0.5, 1.0))
          ampere, turning, posts = crank(dawn)
          Seen.new(rest_volt: (@bank.rest_volt(dawn.charge) + gauss(0.01)).round(2), posts_volt: (posts + gauss(0.03 * batteries)).round(2),
                   drop_volt: ((ampere * @path_ohm) + gauss(0.02)).clamp(0.02..).round(2), ampere: (ampere * (1 + gauss(0.03))).round,
                   celsius: (celsius + gauss(1.0)).round, speed_rpm: (@random.rand < 0.5 ? (turning * (1 + gauss(0.02))).round : nil),
                   tester_ratio: (@bank.health * (1 + gauss(0.08))).round(2), age_years: @age.round(1))
        end

        private

        def build
          made_up = pick([640.0, 760.0, 850.0, 950.0])
          @rating_ampere = @known.rating_ampere || made_up
          health = @known.health || (1.03 - (0.045 * @age) + gauss(0.09)).clamp(0.35, 1.1)
          @bank = Battery.new(count: batteries, rating_ampere: rating_ampere, health: health, cold_share: 1 + gauss(0.12))
          @charge = (0.9 + gauss(0.04)).clamp(0.6, 1.0)
          nominal = rating_ampere * @random.rand(0.22..0.34) / Math.sqrt(batteries)
          @path_ohm = batteries * @random.rand(0.3..0.75) / nominal * (@random.rand < 0.1 ? 2.2 : 1.0)
          @engine = engine(nominal)
          firing
        end

        def engine(nominal)
          posts = Battery.new(count: batteries, rating_ampere: rating_ampere, health: 0.95).posts_volt(nominal, 27.0, 0.92)
          volt = posts - (batteries * 0.4)
          built = Engine::Built.new(
            current_ampere: nominal, speed_rpm: 200.0 * (1 + gauss(0.1)), own_ohm: volt / nominal * @random.rand(0.17..0.33),
            magnets: @random.rand < 0.35, oil_slope: 0.0275 * (1 + gauss(0.1)), drag_share: @random.rand(0.15..0.4)
          )
          Engine.new(built, volt)
        end

        def firing
          @fires_at = 80.0 * (1 + gauss(0.1))
          @fires_colder = (heat_aid ? 0.6 : 1.5) * @random.rand(0.4..1.6)
          @browns_out = batteries * (8.1 + gauss(0.5))
          @oil_warmer = 2.5 + gauss(1.0)
          @awake_ampere = @random.rand(0.02..0.08)
        end

        def dawn(night, nights_parked)
          warmth = 0.35 * (night.day_before - night.low)
          Dawn.new(air: night.low, oil: night.low + @oil_warmer + gauss(1.5), battery: night.low + warmth + gauss(0.8),
                   charge: (@charge + gauss(0.03) - (1.25 * @awake_ampere * 24 / 180.0 * nights_parked)).clamp(0.3, 1.0))
        end

        def crank(dawn)
          ampere, turning = @engine.cranked(dawn.oil, @path_ohm) { |asked| @bank.posts_volt(asked, dawn.battery, dawn.charge) }
          [ampere, turning, @bank.posts_volt(ampere, dawn.battery, dawn.charge)]
        end

        def pick(list) = list[@random.rand(list.size)]

        def gauss(spread) = spread * Numerics::Normal.drawn(@random)
      end
    end
  end
end
