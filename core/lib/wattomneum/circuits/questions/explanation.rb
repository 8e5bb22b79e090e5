# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # The causes of one list of dead and working things, ranked; pairs of them; what to look at next.
      #
      # Formula: log prior + sum of log likelihoods over what was listed; an observation is mistaken with probability 0.07 (ours).
      class Explanation
        MISTAKEN = 0.07
        # How many single causes are tried in pairs.
        PAIRED = 40
        # Pairs worth naming.
        BEST_PAIRS = 5
        # items: elements that no list can tell apart; dies: keys of all that is dead with them; score: log posterior up to a
        # constant; explains, leaves: keys of dead and working observations that it fits; misses: dead it does not explain;
        # breaks: working it would have taken down; also_dead: what else would be dead, which nobody listed
        Cause = Struct.new(:items, :dies, :score, :probability, :explains, :leaves, :misses, :breaks, :also_dead, keyword_init: true) do
          # @param key [String] of a watch
          # @return [Boolean] whether it is dead under this cause
          def kills?(key) = dies.include?(key)
        end

        # @param groups [Hash{Array<String> => Array<Circuit::Item>}] what falls dead, and the items whose opening does just that
        # @param prior [#call] base rate of an item
        # @param watches [Array<Watch>]
        # @param dead [Array<String>] keys of watches, one at least
        # @param working [Array<String>] keys of watches, none of them dead
        def initialize(groups:, prior:, watches:, dead:, working:)
          @groups = groups
          @prior = prior
          @watches = watches
          @dead = dead
          @working = working
        end

        # @return [Array<Cause>] most probable first
        def causes = @causes ||= with_probabilities(@groups.map { |keys, items| cause(keys, items) })

        # @return [Array<Array(Cause, Cause)>] the best pairs of independent causes, where they explain more than the best single one
        def pairs
          return [] if causes.empty?

          least = fit(causes.first.dies)
          better = causes.first(PAIRED).combination(2).select { |one, other| fit(one.dies | other.dies) > least }
          better.max_by(BEST_PAIRS) { |one, other| score(one.dies | other.dies, one.items + other.items) }
        end

        # @return [NextLook::Look, nil] nil if no answer would say much
        def next_look = causes.empty? ? nil : NextLook.new(causes, @watches.reject { |watch| (@dead + @working).include?(watch.key) }).best

        private

        # Dead things explained, less working ones broken.
        def fit(dies) = (@dead & dies).size - (@working & dies).size

        def cause(dies, items)
          Cause.new(items: items.sort_by { |item| -@prior.call(item) }, dies: dies, score: score(dies, items), explains: @dead & dies,
                    leaves: @working - dies, misses: @dead - dies, breaks: @working & dies, also_dead: dies - @dead - @working)
        end

        def score(dies, items)
          right = (@dead & dies).size + (@working - dies).size
          wrong = (@dead - dies).size + (@working & dies).size
          Math.log(items.sum { |item| @prior.call(item) }) + (right * Math.log(1 - MISTAKEN)) + (wrong * Math.log(MISTAKEN))
        end

        def with_probabilities(causes)
          best = causes.map(&:score).max
          total = causes.sum { |one| Math.exp(one.score - best) }
          causes.each { |one| one.probability = Math.exp(one.score - best) / total }
          causes.sort_by { |one| -one.score }
        end
      end
    end
  end
end
