# frozen_string_literal: true

module Server
  module Queries
    # What is due by kind of work: rounds whose interval has passed, grounds that nobody has looked after since. What was never made is counted
    # apart, and asked for only where it has begun: a fleet that has just come in is not told that all of it is due.
    class DueWork
      CORE = Wattomneum
      MOST = 5
      MOST_ASKED = 200
      # months: between two of them, by exposure; units: number, name, yard and when it was made last, the longest overdue first; never: units
      # where it never was
      Kind = Struct.new(:key, :label, :months, :due, :never, :units, keyword_init: true)

      # @param now [Time]
      # @param only [String, nil] the one kind that is asked for in full
      def initialize(now:, only: nil)
        @now = now
        @only = only
      end

      # @return [Array<Kind>] those of which something is due, or was never made
      def call
        kinds = CORE::Readings::Rounds::ALL.select { |round| CORE::Readings::Due.asked?(round.key) }.map { |round| [round.key, round.label] }
        kinds += [%w[grounds Grounds]]
        kinds.select { |key, _| @only.nil? || @only == key }.map { |key, label| kind(key, label) }
      end

      private

      def kind(key, label)
        months = CORE::Readings::Due::EXPOSURES.to_h { |exposure| [exposure, CORE::Readings::Due.months(key, limits, exposure: exposure)] }
        rows = counted(key == 'grounds' ? last_service : last_round(key), months.transform_values { |every| Date.today << every })
        first = rows.first || { due: 0, made: 0 }
        Kind.new(key: key, label: label, months: months, due: first[:due], never: units(key).count - first[:made], units: rows.first(first[:due]))
      end

      # In one pass, by whole months, which no yard's day alters: how many there are, how many of them are due, and those that waited longest.
      #
      # SQL: select made.*, count(*) over () as made, count(*) filter (where last_at < <since>) over () as due from <made> as made
      #      order by last_at - <since> limit ?, since being case exposure when 'salt' then ? else ? end
      def counted(made, since)
        since = Sequel.case({ 'salt' => Sequel.cast(since.fetch('salt'), :timestamptz) }, Sequel.cast(since.fetch('dry'), :timestamptz), :exposure)
        every = Sequel.function(:count).*
        made.select_all(:made).select_append(every.over.as(:made), every.filter(Sequel[:last_at] < since).over.as(:due))
            .order(Sequel[:last_at] - since).limit(@only ? MOST_ASKED : MOST).all
      end

      def limits = @limits ||= FleetRules.new.limits

      # Those that have what is read.
      def units(key)
        standing = Models::Unit.standing(false)
        case key
        when 'batteries' then standing.where { battery_count > 0 } # rubocop:disable Style/NumericPredicate -- a column
        when 'start' then standing.exclude(usual_cranking_current_ampere: nil)
        when 'charge' then standing.exclude(alternator_rating_ampere: nil)
        else standing
        end
      end

      # SQL: select * from (select unit.id, number, name, yard.name, unit_standing.<key>_round_at as last_at from unit join yard join unit_standing
      #      where retired_at is null and <key>_round_at is not null) as made
      def last_round(key)
        at = Sequel[:unit_standing][:"#{key}_round_at"]
        made(units(key).join(:unit_standing, unit_id: Sequel[:unit][:id]).exclude(at => nil), at)
      end

      # SQL: the same with (select unit_id, max(served_at) from ground_service group by unit_id)
      def last_service
        newest = Models::GroundService.group(:unit_id).select(:unit_id, Sequel.function(:max, :served_at).as(:served_at))
        made(units('grounds').join(newest.as(:last), unit_id: Sequel[:unit][:id]), Sequel[:last][:served_at])
      end

      def made(rows, at)
        DB.from(rows.naked.join(:yard, id: Sequel[:unit][:yard_id])
                    .select(*%i[id number name exposure].map { |name| Sequel[:unit][name] }, Sequel[:yard][:name].as(:yard),
                            Models::Yard.local_day(at, Sequel[:yard][:time_zone]).as(:last_on), at.as(:last_at)).as(:made))
      end
    end
  end
end
