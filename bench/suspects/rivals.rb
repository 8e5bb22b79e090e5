# frozen_string_literal: true

# Other ways to choose the next reading, with the same stop rule.
module Rivals
  CORE = Wattomneum
  SUSPECTS = CORE::Faults::Suspects

  # Straight across every part in turn, from the battery outwards; across coils as they are met.
  class FixedOrder
    def call(_search, open) = open.find { |one| one.unit || one.needs.any? } || open.first
  end

  # Whatever can be read soonest, straight across a part where two take as long.
  class CheapestFirst
    def call(_search, open) = open.min_by { |one| [one.minutes, one.unit ? 0 : 1] }
  end

  # Parts what is left most evenly, whatever it costs and however likely each part is; it knows by its readings on which side the fault lies
  # as well as belief does, and reads straight across the last part.
  class HalfSplitting
    LEFT = 1e-3

    def initialize(complaint)
      @predictions = complaint.table.predictions
    end

    def call(search, open)
      shares = search.belief.by_unit
      most = shares.values.max
      left = shares.select { |unit, share| unit && share > LEFT * most }.keys
      across = open.select { |one| left.include?(one.unit) }
      return across.max_by { |one| shares.fetch(one.unit) } || open.first if left.size <= 2 && across.any?

      split = open.max_by { |one| evenness(search, left, one) }
      evenness(search, left, split).positive? ? split : across.first
    end

    private

    def evenness(search, left, candidate)
      read = @predictions.between(candidate.from, candidate.to)
      groups = left.group_by { |unit| (search.belief.expected(read, worst(search, unit)) / 0.5).round }
      CORE::Numerics::Entropy.of(groups.values.map { |units| units.size.fdiv(left.size) }).round(3)
    end

    def worst(search, unit)
      shares = search.belief.probabilities
      indices(unit).max_by { |index| shares[index] }
    end

    def indices(unit) = (@indices ||= @predictions.hypotheses.each_index.group_by { |at| @predictions.hypotheses[at].unit }).fetch(unit)
  end
end
