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
      def self.call(step, circuits)
        cautions = step.cautions
        cautions += past_isolator(circuits) if circuits && cautions.any? { |one| ISOLATING.include?(one.id) }
        step.to_h.merge(element_label: step.element && Wattomneum::Systems::Places.element(step.element).label, cautions: cautions.map(&:to_h))
      end

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
