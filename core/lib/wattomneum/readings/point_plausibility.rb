# frozen_string_literal: true

module Wattomneum
  module Readings
    # Asks before a reading between two points is kept: volts that no such unit has, ohms without the prefix on the display.
    module PointPlausibility
      # More than a charging unit ever shows, as a share of its system.
      MOST_VOLT_RATIO = 1.6
      MOST_AMPERE = 3000.0

      # @param reading [PointReading] as it would be kept
      # @param system_volt [Integer]
      # @param unit [String, nil] symbol it was entered with
      # @return [Plausibility::Question, nil] nil when nothing is odd about the value
      def self.question(reading, system_volt:, unit: nil)
        case reading.way.quantity
        when 'voltage' then volts(reading, system_volt)
        when 'resistance' then Plausibility.prefix_question(reading.value) if Plausibility.prefix_left_off?(reading.way.quantity, reading.value, unit)
        when 'current' then meant_by(reading, [1e-3, 1e-2]) if reading.value.abs > MOST_AMPERE
        end
      end

      # More volts than the unit has.
      def self.volts(reading, system_volt)
        meant_by(reading, [1e-3, 1e-2, 1e-1]) if reading.value.abs > MOST_VOLT_RATIO * system_volt
      end

      # With the ways out: as typed, or by one of these factors.
      def self.meant_by(reading, factors)
        options = factors.map { |factor| { label: spoken(reading, reading.value * factor), value: reading.value * factor } }
        Plausibility::Question.new(text: "#{reading.spoken} is more than this unit has anywhere. What was it?",
                                   options: [{ label: "#{reading.spoken}, as I typed it", value: nil }, *options])
      end

      # In the unit people say.
      def self.spoken(reading, value)
        reading.way.quantity == 'voltage' ? Quantities::Figure.volt(value) : Quantities::Figure.ampere(value)
      end
      private_class_method :volts, :meant_by, :spoken
    end
  end
end
