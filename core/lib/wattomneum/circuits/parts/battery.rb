# frozen_string_literal: true

module Wattomneum
  module Circuits
    # The kinds of components a sheet may hold.
    module Parts
      # A battery, or another source with its resistance: a magneto's primary while it turns.
      class Battery < Part
        RESISTANCE_OHM = 0.006

        def pins = %w[+ -]
        def shares_pins? = true

        def branches
          gate = fields['active_in'] ? { gate: :states, states: states } : {}
          [branch('+', '-', number('ohm', RESISTANCE_OHM), volt: number('volt', 12.6), **gate)]
        end
      end
    end
  end
end
