# frozen_string_literal: true

module Server
  module Contracts
    # A changed unit, with the version it was changed from.
    class UnitEdit < Base
      json(NewUnit::FIELDS) do
        required(:lock_version).value(:integer)
      end
    end
  end
end
