# frozen_string_literal: true

module Server
  module Presenters
    # Yards with their clocks, and the time zones there are to choose from.
    module Yards
      # @param yards [Array<Models::Yard>]
      # @param time_zones [Array<String>]
      def self.call(yards, time_zones)
        { yards: yards.map { |yard| { id: yard.id, name: yard.name, time_zone: yard.time_zone } }, time_zones: time_zones }
      end
    end
  end
end
