# frozen_string_literal: true

module Server
  module Models
    # A yard of the fleet. What happens in it is told by its own clock.
    class Yard < Sequel::Model(:yard)
      NAME_TAKEN = 'is another yard already'
      NO_ZONE = 'is no time zone known here, as in Europe/London'

      class << self
        # SQL: select id, (now at time zone time_zone)::date from yard
        #
        # @param now [Time]
        # @return [Hash{String => Date}] the day it is in each yard, by id
        def days(now)
          local = Sequel.lit('(?::timestamptz at time zone time_zone)::date', now)
          select_map([:id, local.as(:day)]).to_h
        end

        # SQL: select (time at time zone zone)::date
        #
        # @param time [Time]
        # @param zone [String]
        # @return [Date] by the clock of that zone
        def day_of(time, zone) = db.get(Sequel.lit('(?::timestamptz at time zone ?)::date', time, zone))

        # Times are kept in UTC without saying so.
        #
        # @param column [Sequel::SQL::Expression] of a time
        # @param zone [String, Sequel::SQL::Expression]
        # @return [Sequel::LiteralString] its day by the clock of that zone
        def local_day(column, zone) = Sequel.lit("(? at time zone 'UTC' at time zone ?)::date", column, zone)

        # @param column [Sequel::SQL::Expression, Symbol] of a time
        # @param zone [String, Sequel::SQL::Expression]
        # @return [Sequel::SQL::Expression] number of its day by the clock of that zone, as Date#jd has it, with the part of the day
        def day_number(column, zone) = Sequel.lit("extract(julian from (? at time zone 'UTC' at time zone ?))::float8", column, zone)

        # SQL: select name from pg_timezone_names where name like '%/%' ..., without the copies for other programs
        #
        # @return [Array<String>] time zones the database can tell the time of
        def time_zones
          db[:pg_timezone_names].where(Sequel.like(:name, '%/%')).exclude(Sequel.like(:name, 'posix/%', 'Etc/%', 'SystemV/%'))
                                .order(:name).select_map(:name)
        end

        # @param input [Hash] of Contracts::YardFields
        # @return [Yard]
        # @raise [Refusals::InvalidInput] if the name is taken or the zone unknown
        def add(input) = checked(input) { create(input) }

        # @yield a write of a yard
        def checked(input, &write)
          raise Refusals::InvalidInput.new('No such time zone', fields: { 'time_zone' => [NO_ZONE] }) unless zone?(input[:time_zone])

          db.transaction(savepoint: true, &write)
        rescue Sequel::UniqueConstraintViolation
          raise Refusals::InvalidInput.new('Another yard has this name', fields: { 'name' => [NAME_TAKEN] })
        end

        private

        def zone?(name) = db[:pg_timezone_names].where(name: name).any?
      end

      # @param input [Hash] of Contracts::YardFields
      # @return [Yard]
      def edit(input)
        self.class.checked(input) { update(input) }
        self
      end
    end
  end
end
