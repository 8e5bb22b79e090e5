# frozen_string_literal: true

module Server
  module Contracts
    # How units started at dawn: one, or a whole yard in one pass.
    class NewMornings < Base
      OUTCOMES = %w[started slow failed jumped helped other].freeze
      MOST_AT_ONCE = 500

      json do
        required(:dawn).value(:date)
        required(:entries).value(:array, min_size?: 1, max_size?: MOST_AT_ONCE).each do
          hash do
            required(:unit_id).value(Types::Uuid)
            required(:outcome).value(:string, included_in?: OUTCOMES)
          end
        end
      end

      rule(:dawn).validate(:in_our_time)
      rule(:entries) { key.failure('names a unit twice') if value.is_a?(Array) && value.map { |one| one[:unit_id] }.uniq.size < value.size }
    end
  end
end
