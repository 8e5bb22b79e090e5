# frozen_string_literal: true

module Server
  module Contracts
    # A changed intake, with the version it was changed from.
    class JobEdit < Base
      json do
        required(:lock_version).value(:integer)
        required(:complaint).value(Types::Text, :filled?, max_size?: LONG_TEXT)
        required(:symptom).hash(Symptom::FIELDS)
        required(:seen).value(Types::Text, max_size?: LONG_TEXT)
      end
    end
  end
end
