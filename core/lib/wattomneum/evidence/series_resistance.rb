# frozen_string_literal: true

module Wattomneum
  module Evidence
    # Ghost volts: what hides in series with a feed that reads nearly full voltage and lights nothing.
    module SeriesResistance
      # Resistance in series with a feed, from what a meter shows of an unloaded supply.
      #
      # Formula: R = R_meter x (V_supply / V_shown - 1).
      # Source: voltage divider of the fault and the meter's input; Ohm's law.
      # Valid for: one series fault, load and parallel paths unplugged, meter on volts DC.
      #
      # @param supply_volt [Float] source voltage, greater than 0 V
      # @param shown_volt [Float] reading, greater than 0 V and not above supply
      # @param meter_ohm [Float] input resistance of the meter
      # @return [Float] series resistance in ohm, 0 or more
      # @raise [InvalidQuantityError] if shown_volt is not within 0 (excluded) to supply_volt
      # @example 12.0 V supply, 10.4 V shown, 10 Mohm meter   # => 1.54 Mohm
      def self.behind_meter(supply_volt:, shown_volt:, meter_ohm: Limits::Table.shipped.fetch('evidence.meter_input').value)
        unless shown_volt.positive? && shown_volt <= supply_volt
          raise InvalidQuantityError.new("shown_volt must be over 0 and at most #{supply_volt} V, got #{shown_volt}",
                                         field: 'shown_volt')
        end

        meter_ohm * ((supply_volt / shown_volt) - 1)
      end

      # What a load shows at the end of a feed with resistance in it (the divider read the other way).
      #
      # @param supply_volt [Float]
      # @param series_ohm [Float]
      # @param load_ohm [Float] resistance of meter or lamp
      # @return [Float] volts across the load
      def self.volts_at_load(supply_volt:, series_ohm:, load_ohm:)
        supply_volt * load_ohm / (series_ohm + load_ohm)
      end
    end
  end
end
