# frozen_string_literal: true

module Wattomneum
  module Readings
    # One reading between two points of the unit's circuit, with all that makes it evidence. Frozen; a correction is another reading.
    class PointReading
      ATTRIBUTES = %i[id probe taken_at value overload observation unit conditions instrument round half_digit].freeze
      attr_reader(*ATTRIBUTES)

      # @param id [String]
      # @param probe [Probe]
      # @param taken_at [Time, Integer] only compared
      # @param value [Float, nil] in the base unit of the method's quantity
      # @param overload [Boolean] true when the meter showed OL
      # @param observation [String, nil] key of one of the method's choices
      # @param unit [String, nil] unit as entered
      # @param conditions [Hash] see Evidence::Conditions
      # @param instrument [String, nil]
      # @param round [Integer] how many repairs had been made on the job before it was taken
      # @param half_digit [Float] half of the last digit that was typed, in the base unit
      def initialize(id:, probe:, taken_at:, value: nil, overload: false, observation: nil, unit: nil, conditions: {}, instrument: nil, round: 0,
                     half_digit: 0.0)
        @id = id
        @probe = probe
        @taken_at = taken_at
        @value = value
        @overload = overload
        @observation = observation
        @unit = unit || Quantities::Unit.base(way.quantity)
        @conditions = Evidence::Conditions.new(conditions)
        @instrument = instrument || way.instrument
        @round = round
        @half_digit = half_digit
        freeze
      end

      # @return [Methods::Row]
      def way = Methods.fetch(probe.by)

      # @return [String] value with its unit as a person says it
      def spoken
        return way.choices.find { |choice| choice['key'] == observation }&.fetch('label') || observation.to_s if way.quantity == 'observation'
        return 'OL' if overload

        case way.quantity
        when 'voltage' then Quantities::Figure.volt(value)
        when 'resistance' then Quantities::Figure.ohm(value)
        else Quantities::Figure.ampere(value)
        end
      end
    end
  end
end
