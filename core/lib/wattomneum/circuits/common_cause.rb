# frozen_string_literal: true

module Wattomneum
  module Circuits
    # Which element, come open, explains what is dead and leaves alone what works: a crank-but-no-fuel machine with every injector
    # code set is one missing ground, not nine parts.
    #
    # Formula: log prior + sum of log likelihoods over what was listed; an observation is mistaken with probability 0.07 (ours).
    # Priors are base rates of the kinds, more in exposed zones (core/data/element_rates.yml).
    class CommonCause
      MISTAKEN = 0.07
      RATES = DataFile.load('element_rates').freeze
      # How many single causes are tried in pairs.
      PAIRED = 40
      # Two independent faults at once are rare (ours).
      SECOND_FAULT = 0.02
      # items: elements that no list can tell apart; score: log posterior up to a constant; explains, leaves: keys of dead and
      # working observations that it fits; misses: dead it does not explain; breaks: working it would have taken down;
      # also_dead: what else would be dead, which nobody listed
      Cause = Struct.new(:items, :score, :probability, :explains, :leaves, :misses, :breaks, :also_dead, keyword_init: true) do
        # @param key [String] of a watch
        # @return [Boolean] whether it is dead under this cause
        def kills?(key) = explains.include?(key) || breaks.include?(key) || also_dead.include?(key)
      end

      # @param blast [BlastRadius]
      def initialize(blast, circuit)
        @blast = blast
        @circuit = circuit
        @ways = circuit.items.group_by(&:uuid).transform_values(&:size)
        @groups = circuit.items.group_by { |item| blast.dead_keys(item).sort }.reject { |dead, _| dead.empty? }
      end

      # @return [Hash{Array<String> => Array<Circuit::Item>}] what falls dead, and the items whose opening does just that
      attr_reader :groups

      # @param dead [Array<String>] keys of watches that do not work, or trouble codes that are set
      # @param working [Array<String>] keys of watches that work
      # @return [Array<Cause>] most probable first
      # @raise [UnknownKeyError] if a key is no watch and no code of this sheet
      # @raise [InvalidQuantityError] if nothing is dead
      def rank(dead:, working: [])
        listed_dead = keys_of(dead)
        listed_working = keys_of(working) - listed_dead
        raise InvalidQuantityError.new('say at least one thing that is dead', field: 'dead') if listed_dead.empty?

        causes = @groups.map { |keys, items| cause(keys, items, listed_dead, listed_working) }
        with_probabilities(causes)
      end

      # @param dead [Array<String>]
      # @param working [Array<String>]
      # @return [Array<Array(Cause, Cause)>] the best pairs of independent causes, where they explain more than the best single one
      def rank_pairs(dead:, working: [])
        singles = rank(dead: dead, working: working).first(PAIRED)
        best = singles.first
        listed_dead = keys_of(dead)
        listed_working = keys_of(working) - listed_dead
        pairs = singles.combination(2).filter_map do |one, other|
          together = (dead_of(one) | dead_of(other))
          next unless ((listed_dead & together).size - (listed_working & together).size) >
                      best.explains.size - best.breaks.size

          [score(together, one.items + other.items, listed_dead, listed_working) + Math.log(SECOND_FAULT), one, other]
        end
        pairs.sort_by { |total, _, _| -total }.first(5).map { |_, one, other| [one, other] }
      end

      # @param dead [Array<String>]
      # @param working [Array<String>]
      # @return [NextLook::Look, nil] what to look at next; nil if no answer would say much
      def next_look(dead:, working: [])
        listed = keys_of(dead) | keys_of(working)
        NextLook.new(rank(dead: dead, working: working), @circuit.watches.reject { |watch| listed.include?(watch.key) }).best
      end

      private

      def keys_of(words)
        words.flat_map do |word|
          found = @circuit.watches.select { |watch| watch.key == word || watch.codes.include?(word) }
          raise UnknownKeyError, "nothing on sheet #{@circuit.sheet.key} is called #{word}, or sets it" if found.empty?

          found.map(&:key)
        end.uniq
      end

      def dead_of(cause) = @blast.dead_keys(cause.items.first)

      def cause(keys, items, dead, working)
        Cause.new(items: items.sort_by { |item| -prior(item) }, score: score(keys, items, dead, working), explains: dead & keys,
                  leaves: working - keys, misses: dead - keys, breaks: working & keys, also_dead: keys - dead - working)
      end

      def score(keys, items, dead, working)
        right = ((dead & keys).size + (working - keys).size)
        wrong = ((dead - keys).size + (working & keys).size)
        Math.log(items.sum { |item| prior(item) }) + (right * Math.log(1 - MISTAKEN)) + (wrong * Math.log(MISTAKEN))
      end

      # The ways in which one component can open share its rate.
      def prior(item)
        kind = RATES['kinds'].fetch(item.kind, 1.0) / @ways.fetch(item.uuid)
        exposure = @circuit.sheet.zones.dig(item.zone, 'exposure') || []
        kind * (1 + exposure.sum { |word| RATES['exposure'].fetch(word, 0.0) })
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
