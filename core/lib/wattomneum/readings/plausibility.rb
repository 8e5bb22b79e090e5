# frozen_string_literal: true

module Wattomneum
  module Readings
    # Asks before it judges: volts where millivolts were meant, leads the wrong way round, a figure no such test gives.
    module Plausibility
      # Under this the meter is on its lowest range and shows no prefix.
      PREFIXED_FROM_OHM = 1.0
      # New ones give a little more than their label, none so much (ours).
      MOST_OF_LABEL = 1.3
      # What to ask, with the ways out; each option is a value in the base unit, or nil for "as entered".
      Question = Struct.new(:text, :options, keyword_init: true)

      # @param test [TestDefinition]
      # @param value [Float] in the base unit
      # @param system [Units::ElectricalSystem]
      # @param unit [String, nil] symbol it was entered with; nil is the base unit
      # @param text [String, nil] as it was typed
      # @param rated_ampere [Float, nil] of the battery that a tester was on
      # @return [Question, nil] nil when nothing is odd about the value
      def self.question(test:, value:, system:, unit: nil, text: nil, rated_ampere: nil)
        return thousand_question(test, value, text) if thousand_or_decimal?(test, text)
        return prefix_question(value) if prefix_left_off?(test.quantity, value, unit)
        return over_its_label(value, rated_ampere) if over_its_label?(test, value, rated_ampere)

        range = test.plausible_range(system)
        return if range.nil? || range.cover?(value)

        options = meant(value, range)
        spoken = ->(number) { Reading.new(id: '', test_key: test.key, taken_at: 0, value: number).spoken }
        Question.new(
          text: "#{spoken.call(value)} is unusual here: #{why(test, value, range)}. What was it?",
          options: [{ label: "#{spoken.call(value)}, as I typed it", value: nil }] +
                   options.map { |number| { label: spoken.call(number), value: number } }
        )
      end

      THOUSAND = /\A\d{1,3}[.,]\d{3}\z/
      private_constant :THOUSAND

      # "1,200" A: some write thousands so, some decimals.
      def self.thousand_or_decimal?(test, text)
        %w[current conductance_cca].include?(test.quantity) && text.to_s.strip.match?(THOUSAND)
      end

      # Both are offered, the likelier one first.
      def self.thousand_question(test, value, text)
        spoken = ->(number) { Reading.new(id: '', test_key: test.key, taken_at: 0, value: number).spoken }
        options = [{ label: spoken.call(value * 1000), value: value * 1000 }, { label: "#{spoken.call(value)}, as I typed it", value: nil }]
        Question.new(text: "#{text.strip}: a thousand, or a decimal?", options: options)
      end
      private_class_method :thousand_or_decimal?, :thousand_question

      # What a tester gave against the label of the battery it was on.
      def self.over_its_label?(test, value, rated_ampere)
        test.quantity == 'conductance_cca' && rated_ampere && value > MOST_OF_LABEL * rated_ampere
      end

      # The tester was set to another standard, the label was entered wrongly, or a digit was typed twice.
      def self.over_its_label(value, rated_ampere)
        spoken = Quantities::Figure.ampere(value)
        share = Quantities::Figure.percent(100.0 * value / rated_ampere)
        digit_twice = value / 10
        options = [{ label: "#{spoken}, as I typed it", value: nil }, { label: Quantities::Figure.ampere(digit_twice), value: digit_twice }]
        Question.new(text: "#{spoken} is #{share} of its label: was the tester set to another standard, or is the label wrong?",
                     options: options.first(digit_twice <= MOST_OF_LABEL * rated_ampere ? 2 : 1))
      end
      private_class_method :over_its_label, :over_its_label?

      # 18 on the display of a meter that ranges by itself may be 18 ohm, 18 kohm or 18 Mohm.
      #
      # @param quantity [String]
      # @param value [Float] in the base unit
      # @param unit [String, nil] symbol it was entered with
      # @return [Boolean]
      def self.prefix_left_off?(quantity, value, unit)
        quantity == 'resistance' && (unit.nil? || unit == 'ohm') && value.between?(PREFIXED_FROM_OHM, 999.9)
      end

      # @param value [Float] in ohm
      # @return [Question]
      def self.prefix_question(value)
        spoken = ->(number) { Quantities::Figure.ohm(number) }
        Question.new(text: "#{spoken.call(value)}: was there a k or an M on the display?",
                     options: [{ label: "#{spoken.call(value)}, as I typed it", value: nil }] +
                              [1e3, 1e6].map { |factor| { label: spoken.call(value * factor), value: value * factor } })
      end

      def self.why(test, value, range)
        return 'below zero, so the leads may be the wrong way round' if value.negative? && !test.per_battery?
        return 'below zero: leads the wrong way round, or a battery charged backwards' if value.negative?
        return 'nearly the whole system, which a drop shows only at an open joint' if test.along_circuit? && !test.feed? && value > range.end

        "#{Wording.inside(test.label)} usually reads #{Quantities::Figure.trim(range.begin, 2)} to " \
          "#{Quantities::Figure.trim(range.end, 2)} #{test.units.first}"
      end
      private_class_method :why

      def self.meant(value, range)
        candidates = [-value, value * 1000.0, value / 1000.0, value / 100.0, value / 10.0]
        candidates.select { |number| range.cover?(number) && !number.zero? }.first(2)
      end
      private_class_method :meant
    end
  end
end
