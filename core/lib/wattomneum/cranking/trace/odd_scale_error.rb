# frozen_string_literal: true

module Wattomneum
  module Cranking
    module Trace
      # Volts that no such system has: what they may have been is asked.
      class OddScaleError < InvalidQuantityError
        # @return [Readings::Plausibility::Question, nil] each value is the factor that it stands for; nil where none would make sense of it
        attr_reader :question

        # @param top_volt [Float] nearly the highest of the trace, as it stands
        # @param meant [Hash{Float => String}] factors that would make sense of it
        # @param system [Units::ElectricalSystem]
        def initialize(top_volt, meant, system)
          stood = Quantities::Figure.trim(top_volt, 2)
          words = "The highest volts of this trace are #{stood}, on a system of #{system.system_volt} V."
          super("#{words} #{meant.empty? ? 'Is it of this unit?' : 'What were they?'}", field: 'trace')
          options = meant.map { |factor, name| { label: "#{stood} #{name}: #{Quantities::Figure.volt(top_volt * factor)}", value: factor } }
          @question = Readings::Plausibility::Question.new(text: message, options: options) if options.any?
        end
      end
    end
  end
end
