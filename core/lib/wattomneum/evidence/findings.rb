# frozen_string_literal: true

module Wattomneum
  module Evidence
    # Codes of findings and the sentence of each, from core/data/findings.yml.
    module Findings
      SENTENCES = DataFile.load('findings').freeze

      # @param code [String]
      # @param said [Hash{Symbol => String}] what stands in its sentence in curly brackets
      # @return [String]
      # @raise [UnknownKeyError] if there is no such code
      def self.sentence(code, **said)
        text = SENTENCES[code] or raise UnknownKeyError, "no finding #{code}"
        text.gsub(/\{(\w+)\}/) { said.fetch(Regexp.last_match(1).to_sym) }
      end
    end
  end
end
