# frozen_string_literal: true

module Server
  module Models
    # A yard of the fleet.
    class Yard < Sequel::Model(:yard)
    end
  end
end
