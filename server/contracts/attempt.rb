# frozen_string_literal: true

module Server
  module Contracts
    # Something that was already tried or fitted before the job.
    class Attempt < Base
      FIELDS = Dry::Schema.define do
        required(:what).value(Types::Text, :filled?, max_size?: LONG_TEXT)
        optional(:by_whom).value(Types::Text, max_size?: SHORT_TEXT)
        optional(:result).value(Types::Text, max_size?: SHORT_TEXT)
        optional(:fitted_without_diagnosis).value(:bool)
      end

      json(FIELDS)
    end
  end
end
