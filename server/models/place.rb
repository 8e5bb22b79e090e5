# frozen_string_literal: true

module Server
  module Models
    # A named point of one unit; never changes its meaning.
    class Place < Sequel::Model(:place)
    end
  end
end
