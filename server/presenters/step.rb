# frozen_string_literal: true

module Server
  module Presenters
    # The next thing to do.
    module Step
      # @param step [Wattomneum::Faults::Step]
      def self.call(step)
        step.to_h.merge(element_label: step.element && Wattomneum::Systems::Places.element(step.element).label,
                        cautions: step.cautions.map(&:to_h))
      end
    end
  end
end
