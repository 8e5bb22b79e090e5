# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # What explains a list of what was seen.
      class Causes
        MOST_CAUSES = 5
        MOST_PAIRS = 3
        # What goes without saying.
        PLAIN = %i[dead works].freeze
        private_constant :MOST_CAUSES, :MOST_PAIRS, :PLAIN

        # @param machine [Wattomneum::Circuits::Machine]
        def initialize(machine)
          @machine = machine
        end

        # @param said [Array<Wattomneum::Circuits::Questions::CommonCause::Said>]
        def call(said)
          @found = @machine.causes.explain(said)
          { causes: @found.causes.first(MOST_CAUSES).map { |one| cause(one) }, next_look: next_look(@found.next_look),
            pairs: @found.pairs.first(MOST_PAIRS).map { |pair| pair.map { |one| cause(one) } },
            says_nothing: @found.says_nothing.map { |note| "#{words([note.said]).first} #{note.because}" } }
        end

        private

        def next_look(look)
          look && { key: look.watch.key, label: look.watch.label, answers: look.leads_to.map { |word, cause| { word: word, items: items(cause) } } }
        end

        # A component named as a whole stands for its own pins and rings.
        def items(cause)
          named = cause.items.select(&:whole).map(&:uuid)
          cause.items.select { |item| item.whole || !named.include?(item.uuid) }
               .map { |item| { key: item.key, label: item.label, kind: item.kind.tr('_', ' '), zone: item.zone } }
        end

        def cause(cause)
          bad, works = @found.fits(cause).partition(&:bad?)
          misses, breaks = @found.misfits(cause).partition(&:bad?)
          { items: items(cause), kinds: cause.kinds, probability: cause.probability, as_likely: @found.first.include?(cause), explains: words(bad),
            leaves: words(works), misses: words(misses), breaks: words(breaks), also_dead: @found.also_bad(cause).map(&:label) }
        end

        def words(said)
          said.map do |one|
            state = one.key_state && "(#{@machine.sheet.states.values[one.key_state]})"
            [@machine.circuit.watches[one.watch].label, (one.word unless PLAIN.include?(one.word)), state].compact.join(' ')
          end
        end
      end
    end
  end
end
