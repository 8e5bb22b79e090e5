# frozen_string_literal: true

module Server
  module Contracts
    # Components of a draft of which a second set is made.
    class BlockToCopy < Base
      json { required(:components).value(:array, min_size?: 1, max_size?: 200).each(Types::Uuid) }
    end
  end
end
