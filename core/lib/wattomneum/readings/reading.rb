# frozen_string_literal: true

module Wattomneum
  module Readings
    # One reading with all that makes it evidence. Frozen; a correction is another reading.
    class Reading
      ATTRIBUTES = %i[id test_key position battery value overload cells observation unit state conditions instrument
                      taken_at round half_digit].freeze
      attr_reader(*ATTRIBUTES)

      # @param id [String]
      # @param test_key [String] key of a test in the catalogue
      # @param taken_at [Time, Integer] only compared, never read off a clock
      # @param position [String, nil] battery position A to D for battery tests
      # @param battery [Batteries::Battery, nil] the individual that stood in this position when it was measured
      # @param value [Float, nil] in the base unit of the test's quantity
      # @param overload [Boolean] true when the meter showed OL
      # @param cells [Array<Float>] cell by cell, positive end first, where a test has several figures
      # @param observation [String, nil] key of one of the test's choices
      # @param unit [String, nil] unit as entered
      # @param state [String, nil] key of Catalogue::STATES it was taken in; nil means as the test says
      # @param conditions [Hash] see Evidence::Conditions
      # @param round [Integer] how many repairs had been made on the job before it was taken
      # @param half_digit [Float] half of the last digit that was typed, in the base unit
      def initialize(id:, test_key:, taken_at:, position: nil, battery: nil, value: nil, overload: false, cells: [],
                     observation: nil, unit: nil, state: nil, conditions: {}, instrument: nil, round: 0, half_digit: 0.0)
        @id = id
        @test_key = test_key
        @test = Catalogue.fetch(test_key)
        @taken_at = taken_at
        @position = position
        @battery = battery
        @value = value
        @overload = overload
        @cells = cells
        @observation = observation
        @unit = unit || Quantities::Unit.base(test.quantity)
        @state = state || test.state
        @conditions = Evidence::Conditions.new(conditions)
        @instrument = instrument || test.instrument
        @round = round
        @half_digit = half_digit
        freeze
      end

      # @return [TestDefinition]
      attr_reader :test

      # @return [String] value with its unit as a person says it
      def spoken
        return choice_label if test.observation?
        return 'OL' if overload
        return cells.map { |cell| format('%.3f', cell) }.join(' ') if cells.any?

        case test.quantity
        when 'voltage' then Quantities::Figure.volt(value)
        when 'ripple' then "#{Quantities::Figure.trim(value, 3)} #{unit.delete_prefix('m')}"
        when 'resistance' then Quantities::Figure.ohm(value)
        when 'speed' then Quantities::Figure.rpm(value)
        else Quantities::Figure.ampere(value)
        end
      end

      private

      def choice_label
        test.choices.find { |choice| choice['key'] == observation }&.fetch('label') || observation.to_s
      end
    end
  end
end
