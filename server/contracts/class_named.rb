# frozen_string_literal: true

module Server
  module Contracts
    # A class of units by its name.
    class ClassNamed < Base
      params do
        required(:make).value(Types::Text, :filled?, max_size?: 40)
        required(:model).value(Types::Text, :filled?, max_size?: 40)
      end
    end
  end
end
