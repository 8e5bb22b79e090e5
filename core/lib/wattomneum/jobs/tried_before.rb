# frozen_string_literal: true

module Wattomneum
  module Jobs
    # What somebody did before the job was opened, as it was told: the parts of the unit's circuit that it names.
    module TriedBefore
      # One attempt. what: in free words; fitted: whether a part is said to have been fitted without diagnosis
      Told = Struct.new(:what, :fitted, keyword_init: true)
      FITTED = /\b(?:new|fitted|replaced|changed|renewed|swapped)\b/i
      # A single letter names too much.
      LEAST_LETTERS = 2
      private_constant :FITTED, :LEAST_LETTERS

      # @param told [Array<Told>]
      # @param machine [Circuits::Machine] the unit's circuit
      # @return [Array<PastWork>] of each part that is named, by its id ("K5", "wire 12") or by what it is called
      def self.past_work(told, machine)
        told.flat_map do |one|
          kind = one.fitted || one.what.match?(FITTED) ? 'fitted' : 'handled'
          named(one.what, machine).map { |unit| PastWork.new(unit: unit.key, days: 0, kind: kind) }
        end
      end

      # "Heater plug" names the plug and not the heater.
      def self.named(text, machine)
        words = machine.repair_units.all.flat_map { |unit| [unit.key, machine.sheet.part(unit.key)&.label].compact.map { |word| [unit, word] } }
        said = words.select { |_, word| word.size >= LEAST_LETTERS && said?(text, word) }
        said.reject { |_, word| said.any? { |_, longer| longer.size > word.size && said?(longer, word) } }.map(&:first).uniq
      end

      # As a word of its own.
      def self.said?(text, word) = text.downcase.include?(word.downcase) && text.match?(/(?<![[:alnum:]])#{Regexp.escape(word)}(?![[:alnum:]])/i)
      private_class_method :named, :said?
    end
  end
end
