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
      def self.call(row, judgement: nil, taken_as: nil, person: nil, fate: nil)
        reading = row.to_core
        { id: row.id, test_key: row.test_key, label: reading.test.label, short: reading.test.short, loop: reading.test.loop,
          position: row.position, battery_tag: row.battery&.tag, spoken: reading.spoken,
          entered: entered(row), condition_line: condition_line(row, reading),
          conditions: reading.conditions.to_h, state: row.state, instrument: row.instrument, acknowledged: row.acknowledged.to_a,
          round: row.repairs_before, taken_at: row.taken_at.iso8601, person: person, supersedes_id: row.supersedes_id,
          correction_reason: row.correction_reason, fate: fate,
          judged: judgement && Judgement.call(judgement), verdict_when_taken: taken_as&.verdict }
      end

      # As it was typed, with the unit it was typed in.
      def self.entered(row)
        own_unit = Wattomneum::Quantities::Typed.split(row.value_text).last
        [row.value_text, *(row.unit_symbol unless own_unit)].compact.join(' ')
      end

      # @return [String] "cranking, 18 degC, tested alone"
      def self.condition_line(row, reading)
        words = reading.conditions.to_h.filter_map { |key, said| said_words(key, said) }
        [CORE::STATES.fetch(row.state), *words, row.instrument].join(', ')
      end
      private_class_method :condition_line, :entered

      def self.said_words(key, said)
        definition = Wattomneum::Evidence::Conditions::DEFINITIONS.fetch(key)
        return if key == 'value_confirmed'
        return "#{Wattomneum::Quantities::Figure.trim(said, 2)} #{definition['unit']}" if said.is_a?(Numeric)

        said == 'yes' ? definition['label'].downcase : "not #{definition['label'].downcase}"
      end
      private_class_method :said_words
    end
  end
end
