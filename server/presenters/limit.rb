# frozen_string_literal: true

module Server
  module Presenters
    # A limit with its source.
    module Limit
      SOURCE_WORDS = { 'standard' => 'standard', 'handbook' => 'handbook', 'practice' => 'common practice',
                       'ours' => 'our choice', 'fleet' => 'set by the fleet' }.freeze

      def self.call(limit)
        { id: limit.row_id, name: limit.name, value: limit.value, unit: limit.unit, source_kind: SOURCE_WORDS.fetch(limit.source_kind),
          source: limit.source }
      end
    end
  end
end
