# frozen_string_literal: true

module Wattomneum
  module Practice
    module Physics
      # A series-wound starter with the engine that it turns: iron that saturates, carbon brushes that keep a volt, copper that warms, and an
      # engine whose oil stiffens with the cold. Volts are a rising function of ampere.
      #
      # Formula: V = I R + brush(I) + E phi(i) w; torque phi(i) i = friction + drag (0.8 + 0.2 w^0.6); phi(i) = i / (0.45 + 0.55 i), all
      #   against what it takes when it turns a warm engine.
      # Source: a series motor of any textbook; shares of copper, brush and iron, and the oil's viscosity (Walther, 15W-40 with 105 and
      #   14.5 mm2/s at 40 and 100 degC), from memory.
      class Motor
        USUAL_SHARE = 0.77
        COPPER_SHARE = 0.15
        FRICTION = 0.05
        LOCKED = 50.0
        MOST_SPEED = 6.0

        # @param usual_ampere [Float] warm
        # @param system_volt [Integer]
        # @param celsius [Float]
        # @param ails [Hash{Symbol => Float}] series_ohm: brushes; friction: of a worn bush, share of the usual torque; turns: share of its winding
        #   that is left; drag: what the engine asks for against a sound one; slips: share of the torque that reaches the engine
        # @param draw [Proc] 0 to 1: how this one is off the others
        def initialize(usual_ampere:, system_volt:, celsius:, ails: {}, draw: -> { 0.5 })
          @usual = usual_ampere
          @volt = USUAL_SHARE * system_volt
          @brush = 0.9 * Math.sqrt(system_volt / 12.0)
          @copper = COPPER_SHARE * (0.85 + (0.3 * draw.call)) * @volt / @usual
          @turns = ails.fetch(:turns, 1.0)
          @ohm = (@copper * (1 + (0.0039 * (celsius - 20))) * (@turns**2)) + ails.fetch(:series_ohm, 0.0)
          @friction = FRICTION + ails.fetch(:friction, 0.0)
          @drag = (1 - FRICTION) * Motor.stiffness(celsius) * (0.93 + (0.14 * draw.call)) * ails.fetch(:drag, 1.0) * ails.fetch(:slips, 1.0)
          @emf = (@volt - (COPPER_SHARE * @volt) - @brush) * @turns
        end

        # @param celsius [Float] of the oil
        # @return [Float] torque against that at 20 degC
        def self.stiffness(celsius) = 0.4 + (0.6 * ((viscosity(celsius) / viscosity(20.0))**0.3))

        # @param celsius [Float]
        # @return [Float] mm2/s
        def self.viscosity(celsius)
          kelvin = ->(at) { Math.log10(at + 273.15) }
          height = ->(at) { Math.log10(Math.log10(at + 0.7)) }
          slope = (height.call(105.0) - height.call(14.5)) / (kelvin.call(100.0) - kelvin.call(40.0))
          (10**(10**(height.call(105.0) - (slope * (kelvin.call(celsius) - kelvin.call(40.0)))))) - 0.7
        end

        # @param ampere [Float]
        # @return [Float] speed against that of a warm engine on full volts; 0 where it stands
        def speed(ampere)
          return 0.0 if ampere <= 0

          share = ampere / @usual
          left = ((flux(share) * share * @turns) - @friction) / @drag
          left <= 0.8 ? 0.0 : [((left - 0.8) / 0.2)**(1 / 0.6), MOST_SPEED].min
        end

        # @param ampere [Float]
        # @return [Float] volts across it
        def volt(ampere)
          share = [ampere / @usual, 0.0].max
          (ampere * @ohm) + (@brush * Math.tanh(ampere / 30.0)) + (@emf * flux(share) * speed(ampere))
        end

        private

        def flux(share) = share / (0.45 + (0.55 * share))
      end
    end
  end
end
