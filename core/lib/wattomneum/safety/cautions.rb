# frozen_string_literal: true

module Wattomneum
  # What can hurt somebody, said at the step where it can.
  module Safety
    Caution = Struct.new(:id, :acknowledge, :text, keyword_init: true)

    # The one list of cautions; steps and tests name them by id.
    module Cautions
      BY_ID = DataFile.load('cautions').to_h do |row|
        [row['id'], Caution.new(**row.transform_keys(&:to_sym)).freeze]
      end.freeze

      # @param id [String]
      # @param said [Hash{Symbol => String}] what stands in its text in curly brackets
      # @return [Caution]
      # @raise [UnknownKeyError] if the id is not in core/data/cautions.yml
      def self.fetch(id, **said)
        caution = fetch_all([id]).first
        Caution.new(**caution.to_h, text: format(caution.text.gsub(/\{(\w+)\}/, '%<\1>s'), said))
      end

      # @param ids [Array<String>]
      # @return [Array<Caution>]
      # @raise [UnknownKeyError] if an id is not in core/data/cautions.yml
      def self.fetch_all(ids)
        ids.map { |id| BY_ID.fetch(id) { raise UnknownKeyError, "no caution #{id}" } }
      end
    end
  end
end
