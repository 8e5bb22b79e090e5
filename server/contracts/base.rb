# frozen_string_literal: true

module Server
  # Shape, type and presence of what comes in; unknown keys are refused. No physics here: core has that.
  module Contracts
    # Types of JSON as browsers send it.
    module Types
      include Dry.Types()

      # JavaScript sends 30.0 as 30. No quantity of the trade comes near this bound; 1e400 is infinite to a JSON reader.
      MOST = 1e12
      Number = Types::Strict::Float.constrained(gteq: -MOST, lteq: MOST)
                                   .constructor { |value| value.is_a?(::Integer) ? value.to_f : value }
      # Degrees as people type them: "-7", "-3,5", "19 F".
      Celsius = Number.constructor do |value|
        next value.is_a?(::Integer) ? value.to_f : value unless value.is_a?(::String)

        Wattomneum::Quantities::Entry.new(text: value, quantity: 'temperature').value.round(1)
      rescue Wattomneum::InvalidQuantityError
        value
      end
      UUID_FORMAT = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/
      Uuid = Types::Strict::String.constrained(format: UUID_FORMAT)
      Email = Types::Strict::String.constrained(format: /\A[^@\s]+@[^@\s]+\z/, max_size: 200)
                                   .constructor { |value| value.is_a?(::String) ? value.strip : value }
      Text = Types::Strict::String.constructor { |value| value.is_a?(::String) ? value.strip : value }
    end

    # Base of all contracts.
    class Base < Dry::Validation::Contract
      config.messages.load_paths << File.join(__dir__, 'messages.yml')

      LONG_TEXT = 2000
      SHORT_TEXT = 200

      # Days that anything of a fleet can fall on.
      DAYS = (Date.new(2000, 1, 1)..Date.new(2099, 12, 31))
      NO_DAY_OF_OURS = "lies outside #{DAYS.first.year} to #{DAYS.last.year}".freeze

      register_macro(:in_our_time) { key.failure(NO_DAY_OF_OURS) unless value.nil? || DAYS.cover?(value.to_date) }
      register_macro(:long_enough) { key.failure(Passwords::TOO_SHORT) if key? && value.size < Passwords::LEAST_LETTERS }
    end

    # @param contract [Dry::Validation::Contract]
    # @param given [Hash] as it was read
    # @return [Hash] what the contract made of it
    # @raise [Refusals::InvalidInput] with a sentence a field
    def self.check(contract, given)
      result = contract.call(given)
      wrong = result.errors.to_h.transform_keys(&:to_s).transform_values { |errors| sentences(errors) }
      fields = UnknownKeys.in(contract.schema.key_map, given).merge(wrong) { |_, unknown, others| unknown + others }
      return result.to_h if fields.empty?

      raise Refusals::InvalidInput.of(fields)
    end

    # @param errors [Array<String>, Hash] as dry-validation gives them
    # @return [Array<String>] flat sentences
    def self.sentences(errors)
      return errors if errors.is_a?(Array)

      errors.flat_map { |key, inner| sentences(inner).map { |text| key.is_a?(Integer) ? text : FieldLabels.said(key.to_s, text) } }
    end
  end
end
