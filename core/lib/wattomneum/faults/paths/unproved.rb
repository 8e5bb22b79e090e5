# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # Where no reading is left to take and nothing is proved: parked with what is suspected. Nothing is condemned because nothing else is left.
      class Unproved
        # As many as one can look at by hand.
        MOST_NAMED = 3
        private_constant :MOST_NAMED

        # @param kase [Case]
        # @param failing [Array<Readings::PointReading>] what fails now
        def initialize(kase, failing)
          @case = kase
          @failing = failing
        end

        # @return [Step] of kind watch
        def call = not_told_apart || nothing_proved

        private

        # Suspects that no reading left parts: named, with what would.
        def not_told_apart
          units = @case.suspicion&.speaks? ? @case.suspicion.suspects.keys : []
          return unless units.size.between?(1, MOST_NAMED)

          watch(units.one? ? "Suspected, not proved: #{units.first.label}" : "Not told apart: #{Words.any_of(units)}",
                'No reading left on this circuit tells them apart. Take one apart or put a known good one in, and record what was mended: the ' \
                'complaint gone and the same readings prove it')
        end

        def nothing_proved
          found = @failing.flat_map { |one| @case.judgements.fetch(one.id).rules_in }.uniq.first(MOST_NAMED)
          watch('No part is proved: park it with what is suspected',
                found.empty? ? 'Nothing is condemned because nothing else is left' : "Suspected, not proved: #{found.join('; ')}")
        end

        def watch(title, why) = Step.new(kind: 'watch', minutes: 0, title: title, why: why, risks: [])
      end
    end
  end
end
