# frozen_string_literal: true

module Wattomneum
  module Practice
    module Physics
      # A battery of lead and acid: volts by the weight of its acid, resistance by temperature and charge, polarisation that a meter of
      # conductance does not see, plates that starve when they are nearly empty, and gas when they are full.
      #
      # Formula: cell = gravity + 0.845; V = cells - I R - b asinh(I / I0) - starving; charging V = cells + I Rc.
      # Source: Tafel's law; shares from memory, so that at -18 degC and its rated ampere about 7.2 V are left (SAE J537).
      class Accumulator
        CELL_OFFSET_VOLT = 0.845
        EMPTY_GRAVITY = 1.12
        GRAVITY_SPAN = 0.155
        DEAD_CELL_GRAVITY = 1.09
        STIFFENS_PER_CELSIUS = 0.022

        # @param sae_ampere [Float] that it still gives
        # @param cells [Integer]
        # @param charge [Float] 0 to 1
        # @param celsius [Float]
        # @param dead_cells [Integer] shorted: they give nothing and take what they get
        def initialize(sae_ampere:, cells:, charge:, celsius:, dead_cells: 0)
          @ampere = sae_ampere
          @cells = cells
          @charge = charge
          @dead = dead_cells
          @blocks = (cells - (0.7 * dead_cells)) / 6.0
          cold = Math.exp(STIFFENS_PER_CELSIUS * (25.0 - celsius))
          @ohm = 1.95 * cold * (1 + (0.85 * ((1 - charge)**1.3))) / sae_ampere
          @tafel = 0.11 * (273.15 + celsius) / 298.15
          @exchange = 0.02 * sae_ampere / (cold**1.5)
          @starves_at = sae_ampere * ((2.6 * charge) + 0.05) / Math.sqrt(cold)
          @charge_ohm = (0.02 + (0.3 * (charge**4))) * 600.0 / sae_ampere
        end

        # @return [Float] volts at rest
        def rest_volt = ((@cells - @dead) * (gravity + CELL_OFFSET_VOLT)) + (@dead * 0.05)

        # @return [Float] of a sound cell
        def gravity = EMPTY_GRAVITY + (GRAVITY_SPAN * @charge)

        # @return [Float] ampere as a tester of conductance has it, SAE
        def conductance_ampere = @ampere * (0.62 + (0.38 * Math.sqrt(@charge))) * (@dead.zero? ? 1.0 : 0.3)

        # @param ampere [Float] that is pushed in; less than 0 where it gives
        # @return [Float] volts at its posts
        def volt(ampere)
          return rest_volt + (ampere * @blocks * (@charge_ohm + @ohm)) if ampere >= 0

          given = -ampere
          lost = (given * @ohm) + (@tafel * Math.asinh(given / @exchange)) + (0.6 * ((given / @starves_at)**4))
          rest_volt - (@blocks * lost)
        end
      end
    end
  end
end
