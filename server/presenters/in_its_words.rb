# frozen_string_literal: true

module Server
  module Presenters
    # What the program says of a unit, in the words of its kind. What somebody typed, and what goes by a key, stays as it is.
    module InItsWords
      SAID = %i[title why label short how means when text help from_label to_label summary instead rules_in rules_out arithmetic reasons traps
                missing load reads_as bank_remarks missing_to_close element_label shown limit objection].freeze
      private_constant :SAID

      # @param answer [Object]
      # @param system [Wattomneum::Units::ElectricalSystem]
      # @param also [Array<Symbol>] keys that hold words here
      # @return [Object] the same
      def self.call(answer, system, also: [])
        words = Wattomneum::Units::Vocabulary.new(system)
        words.usual? ? answer : within(answer, words, SAID + also, said: false)
      end

      def self.within(answer, words, keys, said:)
        case answer
        when Hash then answer.to_h { |key, value| [key, within(value, words, keys, said: keys.include?(key))] }
        when Array then answer.map { |value| within(value, words, keys, said: said) }
        when String then said ? words.call(answer) : answer
        else answer
        end
      end
      private_class_method :within
    end
  end
end
