# frozen_string_literal: true

module Server
  module Presenters
    # The next thing to do.
    module Step
      # Cautions that open the isolator: there it is said what that leaves live.
      ISOLATING = %w[live_cable ground_off].freeze
      MOST_NAMED = 6
      private_constant :ISOLATING, :MOST_NAMED

      # @param step [Wattomneum::Faults::Step]
      # @param circuits [Queries::UnitCircuits, nil] of a unit that has an isolator
      # @param assessment [Wattomneum::Faults::Assessment]
      def self.call(step, circuits, assessment)
        cautions = Wattomneum::Safety::Cautions.on(step.cautions, assessment.system)
        cautions += past_isolator(circuits) if circuits && cautions.any? { |one| ISOLATING.include?(one.id) }
        outcomes = (step.outcomes || []).map { |shown, means| { when: shown, means: means } }
        step.to_h.except(:risks, :lamp_on).merge(element_label: label(step, assessment), cautions: cautions.map(&:to_h), outcomes: outcomes,
                                                 together: step.together || [],
                                                 probe: step.probe && ProbeCard.call(step.probe, assessment))
      end

      def self.label(step, assessment)
        return assessment.machine.repair_units.fetch(step.unit).label if step.unit

        step.element && Wattomneum::Units::Parts.fetch(step.element).label
      end
      private_class_method :label

      def self.past_isolator(circuits)
        live = circuits.live_past_isolator
        return [] if live.empty?

        more = live.size > MOST_NAMED ? " and #{live.size - MOST_NAMED} more" : ''
        [Wattomneum::Safety::Cautions.fetch('isolator_bypassed', what: "#{live.first(MOST_NAMED).join('; ')}#{more}")]
      end
      private_class_method :past_isolator
    end
  end
end
