# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # A starter with the engine that it turns. It loses a share of its volts in its own resistance, the rest is back-EMF; the engine asks
      # for torque, so for current, less of it the slower it turns. Under the volts that this takes it stands, and is nothing but its
      # resistance.
      #
      # Formula: with usual current I and volts V, demand d against usual, y the speed against usual,
      #   turning: V_s = rho V i/I + (1 - rho) V y, i/I = d (1 - w + w y); a straight line, written here as ohm and volt in series;
      #   standing: V_s = rho V i/I. At y = 0 both are the same.
      # Source: as Cranking::ColdCrank.
      class Starter < Load
        RHO = Cranking::CrankTest::OWN_RESISTANCE_SHARE
        W = Cranking::ColdCrank::TORQUE_SPEED_SHARE
        # What is left of a system's volts at a healthy starter, as a share of it (common practice).
        USUAL_SHARE = 0.8
        private_constant :RHO, :W, :USUAL_SHARE

        def pins = (fields['pins'] || %w[+ case]).map(&:to_s)
        def stud?(_pin) = true

        # @return [Float] of its usual current
        def ohm = usual_volt / usual_ampere

        def branches
          [branch(pins.first, pins.last, turning_ohm, volt: turning_volt, gate: :driven, driver: driver, name: 'turning'),
           branch(pins.first, pins.last, standing_ohm, gate: :undriven, name: 'standing')]
        end

        # @param ampere [Float] that it takes
        # @return [Float] speed against usual; 0 and less where it stands
        def speed_ratio(ampere) = ((ampere / usual_ampere / demand) - 1 + W) / W

        # @return [Float] volts under which it stands
        def turns_from_volt = RHO * usual_volt * demand * (1 - W)

        private

        def usual_ampere = number('usual_ampere')
        def usual_volt = number('usual_volt', USUAL_SHARE * system_volt)
        def demand = number('demand_ratio', 1.0)
        def standing_ohm = RHO * usual_volt / usual_ampere
        def turning_ohm = ((RHO * usual_volt) + ((1 - RHO) * usual_volt / (W * demand))) / usual_ampere
        def turning_volt = -(1 - RHO) * usual_volt * (1 - W) / W

        def driver
          PartBranch::Driver.new(ground: node(pins.last), needs: [PartBranch::Need.new(pin: node(pins.first), least_volt: turns_from_volt)])
        end
      end
    end
  end
end
