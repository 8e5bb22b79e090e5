# frozen_string_literal: true

module Server
  module Presenters
    # What most units of a class have in common.
    module SisterFacts
      # @param found [Queries::SisterFacts]
      def self.call(found)
        { total: found.total, like: found.facts&.fetch(:like) || 0, facts: found.facts&.except(:like),
          sheets: found.sheets.map { |version| { version_id: version.id, title: version.title } } }
      end
    end
  end
end
