# frozen_string_literal: true

module Server
  module Models
    # A yard of the fleet. What happens in it is told by its own clock.
    class Yard < Sequel::Model(:yard)
      # SQL: select id, (now at time zone time_zone)::date from yard
      #
      # @param now [Time]
      # @return [Hash{String => Date}] the day it is in each yard, by id
      def self.days(now)
        local = Sequel.lit('(?::timestamptz at time zone time_zone)::date', now)
        select_map([:id, local.as(:day)]).to_h
      end
    end
  end
end
