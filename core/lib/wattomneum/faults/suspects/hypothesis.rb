# frozen_string_literal: true

module Wattomneum
  module Faults
    # What may be wrong, how likely each is after what was read, and which reading tells most.
    module Suspects
      # One thing that may be wrong: this part, this way, so much.
      #   unit: Circuits::RepairUnit, nil for nothing at all; kind: of core/data/fault_kinds.yml; opened: branches that are open; ohms: branches
      #   that have another resistance; extra: branches that should not be there; grade: place in its series of severities, nil for none;
      #   weight: prior, relative to the others
      Hypothesis = Struct.new(:unit, :kind, :opened, :ohms, :extra, :grade, :weight, keyword_init: true) do
        # @param weight [Float]
        # @return [Hypothesis] that nothing is wrong
        def self.nothing(weight) = new(kind: 'nothing', opened: [], ohms: {}, extra: [], weight: weight)

        # @param other [Hypothesis]
        # @return [Boolean] whether it is the same thing, a grade worse or better
        def next_to?(other) = !grade.nil? && other.grade == grade + 1 && [other.unit, other.kind] == [unit, kind] && other.place == place

        # @return [Integer, nil] the branch that is open or has another resistance
        def branch = opened.first || ohms.keys.first

        # @return [Array] where in the circuit it sits
        def place = [ohms.keys, extra.map { |branch| [branch.from, branch.to] }]
      end
    end
  end
end
