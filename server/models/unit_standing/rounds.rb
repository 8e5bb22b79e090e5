# frozen_string_literal: true

module Server
  module Models
    class UnitStanding
      # When each round that comes by the calendar was made last, by the reading that tells.
      module Rounds
        COLUMNS = Wattomneum::Readings::Due::TESTS.to_h { |key, test_key| [:"#{key}_round_at", test_key] }.freeze

        # SQL: select (select taken_at from reading where unit_id = ? and test_key = ? and <standing> order by taken_at desc limit 1), ... for each
        #
        # @param unit [Unit]
        # @return [Hash] columns
        def self.of(unit)
          newest = COLUMNS.map do |name, test_key|
            Reading.standing.where(unit_id: unit.id, test_key: test_key).order(Sequel.desc(:taken_at)).limit(1).select(:taken_at).as(name)
          end
          DB.select(*newest).first
        end
      end
    end
  end
end
