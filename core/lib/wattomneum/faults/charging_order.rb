# frozen_string_literal: true

module Wattomneum
  module Faults
    # The order of work behind a charging complaint, once the batteries are known.
    class ChargingOrder
      WHEN_IT_FAILS = %w[output_terminal_stopped sense_feed excitation_feed alternator_case_drop ripple alternator_output].freeze
      OVERCHARGE = %w[sense_feed alternator_case_drop].freeze
      WHEN_IT_CHARGES = %w[charging_loaded ripple alternator_output_drop alternator_case_drop].freeze
      private_constant :WHEN_IT_FAILS, :WHEN_IT_CHARGES, :OVERCHARGE

      # @param assessment [Assessment]
      # @param steps [NextStep] makes the steps
      def initialize(assessment, steps)
        @assessment = assessment
        @steps = steps
      end

      # Overcharge seen: what the regulator sees comes before anything else.
      #
      # @return [Step, nil]
      def in_hand
        return unless overcharges?

        key = OVERCHARGE.find { |test| fits?(test) && @steps.open?(test) }
        key && @steps.measure(key, why: 'Overcharge seen: sense and regulator ground before anything else')
      end

      # @return [Step, nil]
      def call
        keys = %w[posts_rest charging_fast_idle] + (fails? ? WHEN_IT_FAILS : WHEN_IT_CHARGES)
        key = keys.find { |test| fits?(test) && @steps.open?(test) }
        return @steps.measure(key, why: why(key)) if key

        condemn if fails?
      end

      private

      def fits?(test)
        return false if test == 'alternator_output' && @assessment.system.alternator_rating_ampere.nil?

        Readings::Catalogue.fetch(test).fits?(@assessment.system)
      end

      def overcharges? = %w[charging_fast_idle charging_loaded].any? { |key| @assessment.judgement(key)&.figures&.key?(:over_by_volt) }

      def fails?
        %w[charging_fast_idle charging_loaded].any? { |key| @assessment.judgement(key)&.act? }
      end

      def why(key)
        return 'Feeds and grounds before the alternator' if WHEN_IT_FAILS.include?(key) && fails?

        key == 'posts_rest' ? 'The rise is counted from here' : 'Height first, then under load'
      end

      def condemn
        ladder = @assessment.ladders.find { |one| one.suspect == 'alternator' }
        return unless ladder.complete? && !@steps.mended_in_vain?('alternator', nil)

        failing = %w[alternator_output charging_fast_idle charging_loaded].find { |key| @assessment.judgement(key)&.act? }
        Step.new(kind: 'condemn', element: 'alternator', title: 'Alternator with regulator is proved bad',
                 minutes: Systems::Places.element('alternator').access_minutes,
                 failing_reading_id: @assessment.reading(failing).id,
                 why: 'Everything that serves it is right, and it does not charge')
      end
    end
  end
end
