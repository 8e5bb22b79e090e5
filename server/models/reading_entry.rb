# frozen_string_literal: true

module Server
  module Models
    # Turns what the pad sent into the attributes of a reading row: core parses, asks and refuses; nothing is judged here.
    class ReadingEntry
      # @param test_key [String]
      # @param position [String, nil]
      # @param input [Hash] of Contracts::NewReading
      # @param unit [Unit]
      # @param now [Time]
      def initialize(test_key:, position:, input:, unit:, now:)
        @test = Wattomneum::Readings::Catalogue.fetch(test_key)
        @position = position
        @input = input
        @unit = unit
        @system = unit.core_system
        @now = now
      end

      # @return [Hash] attributes of a Reading
      # @raise [Refusals::InvalidInput, Refusals::Question, Wattomneum::InvalidQuantityError]
      def attributes
        check_test
        { unit_id: @unit.id, battery_id: battery_id, from_place_id: place_id(@test.from), to_place_id: place_id(@test.to),
          test_key: @test.key, quantity: @test.quantity, position: @position, state: @input[:state] || @test.state,
          instrument: @input[:instrument] || @test.instrument, taken_at: EntryTime.check(@input[:taken_at], @now),
          conditions: Sequel.pg_jsonb(conditions.to_h), acknowledged: Sequel.pg_array(@input.fetch(:acknowledged, []), :text),
          **what_was_read }
      end

      private

      def conditions
        @conditions ||= Wattomneum::Evidence::Conditions.new(@input[:conditions] || {})
      end

      def check_test
        refuse('test_key', 'this unit has no such place') unless @test.fits?(@system)
        return refuse('position', 'say which battery') if @test.per_battery? && !@system.positions.include?(@position)

        refuse('position', 'belongs to battery tests only') if !@test.per_battery? && @position
      end

      def refuse(field, sentence)
        raise Refusals::InvalidInput.of({ field => [sentence] })
      end

      def what_was_read
        return observed if @test.observation?
        return cell_by_cell if @test.cells(@system) > 1

        entry = Wattomneum::Quantities::Entry.new(text: @input[:value_text], unit: @input[:unit],
                                                  quantity: @test.quantity)
        ask(entry.value, entry.unit, entry.text) if entry.value
        { value: entry.value, overload: entry.overload?, value_text: entry.text, unit_symbol: entry.unit }
      end

      def observed
        choice = @test.choices.find { |one| one['key'] == @input[:observation] }
        refuse('observation', 'choose what you saw') if choice.nil?

        { observation: choice['key'], value_text: choice['label'] }
      end

      def cell_by_cell
        texts = @input[:cells_text] || []
        refuse('cells_text', "give all #{@test.cells(@system)} cells") unless texts.size == @test.cells(@system)

        cells = texts.map { |text| Wattomneum::Quantities::Entry.new(text: text, quantity: @test.quantity).value }
        ask(cells.min)
        ask(cells.max)
        { cells: Sequel.pg_array(cells, :float8), value_text: texts.join(' '), unit_symbol: 'SG' }
      end

      # An odd value is asked about before it is kept, unless it was confirmed.
      def ask(value, unit = nil, text = nil)
        return if conditions.said('value_confirmed') == :yes

        question = Wattomneum::Readings::Plausibility.question(test: @test, value: value, system: @system, unit: unit, text: text,
                                                               rated_ampere: rated_ampere)
        return unless question

        raise Refusals::Question.new(question.text, fields: { 'value_text' => [question.text] },
                                                    details: { question: question.to_h.merge(base_unit: @test.units.first) })
      end

      # By its label, of the battery that the tester is on.
      def rated_ampere = @position && Battery.where(id: battery_id).get(:rating_ampere)

      def battery_id
        return unless @position

        Fitting.current.where(unit_id: @unit.id, position: @position).get(:battery_id)
      end

      def place_id(key)
        key && Place.named(@unit.id, key).id
      end
    end
  end
end
