# frozen_string_literal: true

module Server
  module Models
    # Turns what the pad sent for two points of the circuit into the attributes of a reading row: core parses, asks and refuses; nothing is
    # judged here.
    class PointEntry
      CORE = Wattomneum

      # @param input [Hash] of Contracts::NewReading or Correction
      # @param probe [Hash] by, from, to (names of points), situation, opened (ids of components)
      # @param unit [Unit]
      # @param circuit [Queries::JobCircuit]
      # @param now [Time]
      def initialize(input:, probe:, unit:, circuit:, now:)
        @input = input
        @probe = probe
        @unit = unit
        @machine = circuit.machine!
        @now = now
      end

      # @return [Hash] attributes of a Reading
      # @raise [Refusals::InvalidInput, Refusals::Question, CORE::InvalidQuantityError]
      def attributes
        check
        { unit_id: @unit.id, from_place_id: place(@from).id, to_place_id: place(@to).id, measured_by: way.key, quantity: way.quantity,
          state: @probe[:situation], instrument: @input[:instrument] || way.instrument, taken_at: EntryTime.check(@input[:taken_at], @now),
          conditions: Sequel.pg_jsonb(conditions.to_h), acknowledged: Sequel.pg_array(@input.fetch(:acknowledged, []), :text), **what_was_read }
      end

      # @return [Array<String>] UUIDs of the components whose plug was off
      def opened = (@probe[:opened] || []).map { |id| apart(id).uuid }.uniq

      private

      def way = @way ||= CORE::Readings::Methods.fetch(@probe[:by])
      def conditions = @conditions ||= CORE::Evidence::Conditions.new(@input[:conditions] || {})
      def place(point) = Place.at(@unit.id, point, @machine.sheet)

      def check
        @from = point('from')
        @to = point('to')
        refuse('to', 'Both leads are on one point: choose two', 'the same as from') if @from.node == @to.node
        CORE::Circuits::Situations.on(@machine.sheet, @probe[:situation])
        opened
      rescue CORE::UnknownKeyError => e
        refuse('situation', e.message, 'not a state of this unit')
      end

      def point(name)
        @machine.points.named(@probe[name.to_sym].to_s)
      rescue CORE::UnknownKeyError => e
        refuse(name, e.message, 'not on this unit')
      end

      def apart(id)
        @machine.apart.fetch(id)
      rescue CORE::UnknownKeyError => e
        refuse('opened', e.message.sub(/\Athis/, 'This'), 'not on this unit')
      end

      def refuse(field, sentence, short)
        raise Refusals::InvalidInput.new(sentence, fields: { "probe.#{field}" => [short] })
      end

      def what_was_read
        return observed if way.quantity == 'observation'

        entry = CORE::Quantities::Entry.new(text: @input[:value_text], unit: @input[:unit], quantity: way.quantity)
        ask(entry) if entry.value
        { value: entry.value, overload: entry.overload?, value_text: entry.text, unit_symbol: entry.unit }
      end

      def observed
        choice = way.choices.find { |one| one['key'] == @input[:observation] }
        raise Refusals::InvalidInput.of({ 'observation' => ['choose what you saw'] }) if choice.nil?

        { observation: choice['key'], value_text: choice['label'] }
      end

      # An odd value is asked about before it is kept, unless it was confirmed.
      def ask(entry)
        return if conditions.said('value_confirmed') == :yes

        probe = CORE::Readings::Probe.new(by: way.key, from: @from.node, to: @to.node, situation: @probe[:situation])
        shown = CORE::Readings::PointReading.new(id: '', taken_at: 0, value: entry.value, unit: entry.unit, probe: probe)
        question = CORE::Readings::PointPlausibility.question(shown, system_volt: @machine.sheet.system_volt, unit: entry.unit)
        return unless question

        raise Refusals::Question.new(question.text, fields: { 'value_text' => [question.text] },
                                                    details: { question: question.to_h.merge(base_unit: CORE::Quantities::Unit.base(way.quantity)) })
      end
    end
  end
end
