# frozen_string_literal: true

module Server
  # Shape, type and presence of what comes in; unknown keys are refused. No physics here: core has that.
  module Contracts
    # Types of JSON as browsers send it.
    module Types
      include Dry.Types()

      # JavaScript sends 30.0 as 30.
      Number = Types::Strict::Float.constructor { |value| value.is_a?(::Integer) ? value.to_f : value }
      UUID_FORMAT = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/
      Uuid = Types::Strict::String.constrained(format: UUID_FORMAT)
      Email = Types::Strict::String.constrained(format: /\A[^@\s]+@[^@\s]+\z/, max_size: 200)
                                   .constructor { |value| value.is_a?(::String) ? value.strip : value }
      Text = Types::Strict::String.constructor { |value| value.is_a?(::String) ? value.strip : value }
    end

    # Base of all contracts.
    class Base < Dry::Validation::Contract
      config.validate_keys = true
      config.messages.load_paths << File.join(__dir__, 'messages.yml')

      LONG_TEXT = 2000
      SHORT_TEXT = 200

      register_macro(:long_enough) { key.failure(Passwords::TOO_SHORT) if key? && value.size < Passwords::LEAST_LETTERS }
    end

    # @param errors [Array<String>, Hash] as dry-validation gives them
    # @return [Array<String>] flat sentences
    def self.sentences(errors)
      return errors if errors.is_a?(Array)

      errors.flat_map { |key, inner| sentences(inner).map { |text| "#{key}: #{text}" } }
    end
  end
end
