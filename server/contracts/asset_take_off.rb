# frozen_string_literal: true

module Server
  module Contracts
    # Which place of a unit is left empty.
    class AssetTakeOff < Base
      json { required(:place).value(Types::Text, :filled?, max_size?: 60) }
    end
  end
end
