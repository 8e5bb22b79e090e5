# frozen_string_literal: true

module Server
  module Contracts
    # A class of units by its name, and the unit that asks for its sisters.
    class ClassNamed < Base
      params do
        required(:make).value(Types::Text, :filled?, max_size?: 40)
        required(:model).value(Types::Text, :filled?, max_size?: 40)
        optional(:unit).value(Types::Uuid)
      end
    end
  end
end
