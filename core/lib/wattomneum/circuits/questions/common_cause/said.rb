# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      class CommonCause
        # What somebody says of one thing. watch: index; word: dead, weak, works, runs; of a signal low or high, works where it is right, dead
        # where its trouble code is set and nobody says which way it is off; key_state: index, nil for whenever it should work
        class Said < Struct.new(:watch, :word, :key_state, keyword_init: true)
          # How often what looks so is called so. One in ten is seen or written down wrongly, weak is taken for either (ours).
          CHANCES = {
            works: { works: 0.88, weak: 0.05, dead: 0.05 }, weak: { works: 0.25, weak: 0.5, dead: 0.23 },
            dead: { works: 0.05, weak: 0.08, dead: 0.85 }, idle: { works: 0.05, weak: 0.03, dead: 0.9 },
            runs: { works: 0.2, weak: 0.05, dead: 0.05, runs: 0.7 }, right: { works: 0.9, weak: 0.05, dead: 0.05, low: 0.05, high: 0.05 },
            low: { works: 0.06, weak: 0.9, dead: 0.9, low: 0.88, high: 0.06 }, high: { works: 0.06, weak: 0.9, dead: 0.9, low: 0.06, high: 0.88 }
          }.freeze
          # What is hardly ever said of it.
          RARELY = 0.02
          # From here on what was said fits.
          FITS_FROM = 0.2
          private_constant :CHANCES, :RARELY, :FITS_FROM

          # What was said, as watches of the sheet. Quick, so that a slip is told before any work is done.
          #
          # @param circuit [Circuit]
          # @param words [Hash{String => Array<String>}] by word keys of watches or trouble codes, with "@" and a key state where it was seen in
          #   that one: "M2@key_on"
          # @return [Array<Said>] of each thing in each state once, the first word said of it
          # @raise [UnknownKeyError] if a key is no watch and no code of this sheet, or there is no such state
          # @raise [InvalidQuantityError] if nothing is the matter with anything
          def self.all(circuit, words)
            said = words.flat_map { |word, keys| keys.flat_map { |key| about(circuit, word, key) } }.uniq { |one| [one.watch, one.key_state] }
            raise InvalidQuantityError.new('say at least one thing that is dead', field: 'dead') if said.none?(&:bad?)

            said
          end

          # A code may be set by several things.
          # @!visibility private
          def self.about(circuit, word, key)
            name, state = called(circuit, key).any? ? [key, nil] : key.rpartition('@').values_at(0, 2)
            found = called(circuit, name)
            raise UnknownKeyError, "nothing on sheet #{circuit.sheet.key} is called #{key}, or sets it" if found.empty?

            found.map { |at| new(watch: at, word: word.to_sym, key_state: state && place_of(circuit.sheet, state)) }
          end

          # Things of two sheets that have one name bear that of their sheet behind an "@": the name itself comes before a key state.
          #
          # @!visibility private
          def self.called(circuit, name)
            circuit.watches.each_index.select { |at| circuit.watches[at].then { |watch| watch.key == name || watch.codes.include?(name) } }
          end

          # @!visibility private
          def self.place_of(sheet, state)
            sheet.states.keys.index(state) || raise(UnknownKeyError, "sheet #{sheet.key} has no key state #{state}")
          end
          private_class_method :about, :called, :place_of

          # @param look [Symbol] of Looks
          # @return [Float] how likely this is said of what looks so
          def chance(look) = CHANCES.fetch(look).fetch(word, RARELY)

          # @param look [Symbol]
          # @return [Boolean]
          def fits?(look) = chance(look) >= FITS_FROM

          # @return [Boolean] whether something is the matter with it
          def bad? = word != :works
        end
      end
    end
  end
end
