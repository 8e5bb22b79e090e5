# frozen_string_literal: true

module Server
  module Presenters
    # A reading with its condition line and the judgement of it.
    module Reading
      CORE = Wattomneum::Readings::Catalogue

      # @param row [Models::Reading]
      # @param judgement [Wattomneum::Evidence::Judgement, nil] as judged now
      # @param taken_as [Models::Judgement, nil] as judged when it was taken
      # @param person [String, nil]
      # @param circuit [Queries::JobCircuit, nil] on which its points have their names of now
      # @param opened [Array<String, nil>] ids of what was unplugged or taken off; nil for what is gone from the circuit since
      def self.call(row, judgement: nil, taken_as: nil, person: nil, fate: nil, circuit: nil, opened: [])
        reading = row.between_points? ? row.to_point(circuit) : row.to_core
        { id: row.id, test_key: row.test_key, **named(row, reading, opened),
          position: row.position, battery_tag: row.battery&.tag, spoken: reading.spoken,
          entered: entered(row), condition_line: condition_line(row, reading, opened),
          conditions: reading.conditions.to_h, state: row.state, instrument: row.instrument, acknowledged: row.acknowledged.to_a,
          round: row.repairs_before, taken_at: row.taken_at.iso8601, person: person, supersedes_id: row.supersedes_id,
          correction_reason: row.correction_reason, fate: fate,
          judged: judgement && Judgement.call(judgement), verdict_when_taken: taken_as&.verdict }
      end

      # A test by its own name, a reading between two points by them.
      def self.named(row, reading, opened)
        return { label: reading.test.label, short: reading.test.short, loop: reading.test.loop, probe: nil } unless row.between_points?

        from = row.from_place
        to = row.to_place
        short = row.measured_by == 'seen' ? from.label.split(', ', 2).last : "#{from.short} to #{to.short}"
        { label: "#{reading.way.label}, #{from.label} to #{to.label}", short: short, loop: 'circuit',
          probe: { by: row.measured_by, from: reading.probe.from || from.short, to: reading.probe.to || to.short, situation: row.state,
                   opened: opened.compact } }
      end

      # As it was typed, with the unit it was typed in.
      def self.entered(row)
        own_unit = Wattomneum::Quantities::Typed.split(row.value_text).last
        [row.value_text, *(row.unit_symbol unless own_unit)].compact.join(' ')
      end

      # @return [String] "cranking, 18 degC, tested alone"
      def self.condition_line(row, reading, opened)
        words = reading.conditions.to_h.filter_map { |key, said| said_words(key, said) }
        off = Wattomneum::Circuits::Apart.words(opened.map { |id| id || 'something that is gone' })
        [state_words(row), *off, *words, row.instrument].join(', ')
      end

      # A state that only one sheet knows goes by its own name.
      def self.state_words(row)
        return CORE::STATES.fetch(row.state) unless row.between_points?

        Wattomneum::Circuits::Situations::ALL.find { |one| one.key == row.state }&.label || row.state.tr('_', ' ')
      end
      private_class_method :condition_line, :entered, :named, :state_words

      def self.said_words(key, said)
        definition = Wattomneum::Evidence::Conditions::DEFINITIONS.fetch(key)
        return if key == 'value_confirmed'
        return "#{Wattomneum::Quantities::Figure.trim(said, 2)} #{definition['unit']}" if said.is_a?(Numeric)

        label = Wattomneum::Wording.inside(definition['label'])
        return "#{label}: #{said}" if definition['kind'] == 'word'

        said == 'yes' ? label : "not #{label}"
      end
      private_class_method :said_words
    end
  end
end
