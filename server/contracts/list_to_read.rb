# frozen_string_literal: true

module Server
  module Contracts
    # A wire list of another hand, to be looked at.
    class ListToRead < Base
      json { required(:csv).value(:string, :filled?, max_size?: 2_000_000) }
    end
  end
end
