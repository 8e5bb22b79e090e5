# frozen_string_literal: true

module Wattomneum
  module Batteries
    # What a parked unit still takes, and how long its batteries stand it.
    module ParasiticDraw
      # Current through a fuse from the drop across it, without breaking the circuit and waking the unit.
      #
      # Formula: I = V / R; Ohm's law.
      #
      # @param drop_volt [Float]
      # @param fuse_ohm [Float] greater than 0 ohm
      # @return [Float] ampere
      # @example 0.9 mV across a 7.5 mohm fuse   # => 0.12
      def self.through_fuse(drop_volt:, fuse_ohm:)
        raise InvalidQuantityError.new('fuse_ohm must be over 0 ohm', field: 'fuse_ohm') unless fuse_ohm.positive?

        drop_volt / fuse_ohm
      end

      # Formula: (charge now - charge at which it will not start) x capacity x (1 - reserve) / (draw x 24).
      # Source: charge balance; common practice for the reserve.
      #
      # @param charge_percent [Float]
      # @param no_start_percent [Float]
      # @param capacity_ampere_hour [Float] of the bank; a series bank has that of one battery
      # @param draw_ampere [Float] greater than 0 A
      # @param reserve_ratio [Float] 0 to 1
      # @return [Float] days, 0 or more
      def self.days_to_no_start(charge_percent:, no_start_percent:, capacity_ampere_hour:, draw_ampere:,
                                reserve_ratio: 0.2)
        raise InvalidQuantityError.new('draw_ampere must be over 0 A', field: 'draw_ampere') unless draw_ampere.positive?

        spare = [(charge_percent - no_start_percent) / 100.0, 0].max * capacity_ampere_hour
        spare * (1 - reserve_ratio) / (draw_ampere * 24)
      end
    end
  end
end
