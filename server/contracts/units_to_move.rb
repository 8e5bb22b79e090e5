# frozen_string_literal: true

module Server
  module Contracts
    # Units that get a version of a sheet.
    class UnitsToMove < Base
      json { required(:units).value(:array, min_size?: 1, max_size?: 500).each(Types::Uuid) }
    end
  end
end
