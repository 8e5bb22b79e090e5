# frozen_string_literal: true

module Server
  module Presenters
    # The next thing to do.
    module Step
      # @param step [Wattomneum::Faults::NextStep::Step]
      def self.call(step)
        step.to_h.merge(element_label: step.element && Wattomneum::Systems::Places.element(step.element).label)
      end
    end
  end
end
