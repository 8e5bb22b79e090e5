# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # Degrees of a night as somebody typed them: asks where degrees Fahrenheit may have been meant.
    module DegreesMeant
      # Farther than this from what is known of the night: ours.
      FAR_CELSIUS = 9.0
      # Nights in which nobody asks what starts.
      WARM_CELSIUS = 22.0
      private_constant :FAR_CELSIUS, :WARM_CELSIUS

      # @param celsius [Float] as typed, taken for degC
      # @param near_celsius [Float, nil] what was forecast for this night, or the nights before it had; nil where nothing is known
      # @return [Readings::Plausibility::Question, nil] nil where nothing is odd; an option without a value is what was typed
      # @example 23 where -3 was forecast   # => "23 degC is far from the -3 degC that were forecast ..."
      def self.question(celsius, near_celsius:)
        meant = Quantities::Unit.to_base(celsius, 'degF', 'temperature').round(1)
        return unless odd?(celsius, meant, near_celsius)

        typed = Quantities::Figure.celsius(celsius)
        known = near_celsius ? "far from the #{Quantities::Figure.celsius(near_celsius)} that are known of these nights" : 'a warm night'
        Readings::Plausibility::Question.new(
          text: "#{typed} is #{known}. Was it read in Fahrenheit?",
          options: [{ label: "#{Quantities::Figure.trim(celsius, 1)} degF, which is #{Quantities::Figure.celsius(meant)}", value: meant },
                    { label: "#{typed}, as I typed it", value: nil }]
        )
      end

      # Far off as it was typed, and nearer if it was Fahrenheit.
      def self.odd?(celsius, meant, near)
        return celsius > WARM_CELSIUS if near.nil?

        (celsius - near).abs > FAR_CELSIUS && (meant - near).abs < (celsius - near).abs
      end
      private_class_method :odd?
    end
  end
end
