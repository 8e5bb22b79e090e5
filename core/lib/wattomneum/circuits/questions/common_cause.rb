# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # Which element, come open, explains what is dead and leaves alone what works: a crank-but-no-fuel machine with every injector
      # code set is one missing ground, not nine parts.
      #
      # Priors are base rates of the kinds, more in exposed zones (core/data/element_rates.yml).
      class CommonCause
        RATES = DataFile.load('element_rates').freeze

        # What falls dead with each item: the long part of the work, which may be done beforehand and kept.
        #
        # @param blast [BlastRadius]
        # @param circuit [Circuit]
        # @yieldparam done [Integer] how many items are worked out
        # @return [Array<Array<String>>] keys of watches, in the order of the circuit's items
        def self.dead_sets(blast, circuit)
          circuit.items.each_with_index.map do |item, index|
            blast.dead_keys(item).sort.tap { yield index + 1 if block_given? }
          end
        end

        # @param circuit [Circuit]
        # @param dead_sets [Array<Array<String>>] of dead_sets
        def initialize(circuit, dead_sets)
          @circuit = circuit
          @ways = circuit.items.group_by(&:uuid).transform_values(&:size)
          @groups = circuit.items.zip(dead_sets).group_by(&:last).transform_values { |pairs| pairs.map(&:first) }
                           .reject { |dead, _| dead.empty? }
        end

        # @return [Hash{Array<String> => Array<Circuit::Item>}] what falls dead, and the items whose opening does just that
        attr_reader :groups

        # @param dead [Array<String>] keys of watches that do not work, or trouble codes that are set
        # @param working [Array<String>] keys of watches that work
        # @return [Explanation]
        # @raise [UnknownKeyError] if a key is no watch and no code of this sheet
        # @raise [InvalidQuantityError] if nothing is dead
        def explain(dead:, working: [])
          listed_dead, listed_working = self.class.listed(@circuit, dead: dead, working: working)
          Explanation.new(groups: @groups, prior: method(:prior), watches: @circuit.watches, dead: listed_dead, working: listed_working)
        end

        # What was said, as watches of the sheet. Quick, so that a slip is told before any work is done.
        #
        # @param circuit [Circuit]
        # @param dead [Array<String>] keys of watches, or trouble codes
        # @param working [Array<String>]
        # @return [Array(Array<String>, Array<String>)] keys of the watches that are dead, and of those that work
        # @raise [UnknownKeyError] if a key is no watch and no code of this sheet
        # @raise [InvalidQuantityError] if nothing is dead
        def self.listed(circuit, dead:, working:)
          dead_keys, working_keys = [dead, working].map { |words| words.flat_map { |word| keys_of(circuit, word) }.uniq }
          raise InvalidQuantityError.new('say at least one thing that is dead', field: 'dead') if dead_keys.empty?

          [dead_keys, working_keys - dead_keys]
        end

        # A code may be set by several things.
        def self.keys_of(circuit, word)
          found = circuit.watches.select { |watch| watch.key == word || watch.codes.include?(word) }
          raise UnknownKeyError, "nothing on sheet #{circuit.sheet.key} is called #{word}, or sets it" if found.empty?

          found.map(&:key)
        end
        private_class_method :keys_of

        private

        # The ways in which one component can open share its rate.
        def prior(item)
          kind = RATES['kinds'].fetch(item.kind, 1.0) / @ways.fetch(item.uuid)
          exposure = @circuit.sheet.zones.dig(item.zone, 'exposure') || []
          kind * (1 + exposure.sum { |word| RATES['exposure'].fetch(word, 0.0) })
        end
      end
    end
  end
end
