# frozen_string_literal: true

module Server
  module Queries
    # The coming night: how cold it gets in each yard, and which units are least likely to start. Rows that are worked out already, held against
    # a temperature: a new temperature for a whole fleet is one query.
    class Tonight
      # Lines that are shown; one likelier than this is named.
      MOST_LINES = 40
      MOST_WEIGHED = 3 * MOST_LINES
      NAMED = 0.5
      LEAST = 0.03
      RECORD_DAYS = 60
      # nights: by yard id; lines: the least likely to start first; others: how many more there are; outcomes and plans: of that dawn, by unit
      # id and dawn; systems: of units for which something is planned, by id
      Result = Struct.new(:yards, :dawns, :today, :nights, :lines, :others, :untested, :outcomes, :plans, :systems, :record,
                          keyword_init: true)
      Line = Struct.new(:row, :evening, :chance, :low_celsius, :nights_parked, keyword_init: true) do
        # @return [Array<Hash{String => Object}>] what can be done: what may be frozen is not charged
        def remedies
          may_freeze = evening.may_freeze?(low_celsius)
          row[:remedies].reject { |remedy| may_freeze && remedy['key'] == 'charge' }
        end

        # @param remedy [Hash{String => Object}]
        # @return [Float] chance of no start with that done
        def chance_with(remedy) = evening.chance(low_celsius, won_celsius: remedy['degrees'])
      end
      # Of mornings that were entered: named with over half and failed; failed, and on that list
      Record = Struct.new(:named, :named_failed, :failed, keyword_init: true)

      # @param now [Time]
      # @param yard_id [String, nil] only its units
      def initialize(now:, yard_id: nil)
        @now = now
        @yard_id = yard_id
      end

      # @return [Result]
      def call
        shown = likely.map { |row| line(row) }.select { |one| one.chance >= LEAST }.max_by(MOST_LINES) { |one| consequence(one) }
        Result.new(yards: Models::Yard.order(:name).all, dawns: dawns, today: Models::Yard.days(@now), nights: nights, lines: shown,
                   others: foreseen.count - shown.size, untested: foreseen.where(tested: false).count, outcomes: outcomes(shown),
                   plans: plans(shown), systems: systems(plans(shown)), record: record)
      end

      private

      def dawns = @dawns ||= Models::Night.dawns(@now)
      def coming = { %i[yard_id dawn] => dawns.to_a }

      # SQL: select * from night where (yard_id, dawn) in (...)
      def nights
        @nights ||= dawns.empty? ? {} : Models::Night.where(coming).to_h { |night| [night.yard_id, night] }
      end

      # Those that are down with a start that fails are on the list of what is down.
      #
      # SQL: from start_threshold join unit, yard where retired_at is null
      #      and unit_id not in (select unit_id from job join job_symptom where state = 'open' and work = 'starting')
      def foreseen
        down = DB[:job].join(:job_symptom, job_id: :id).where(state: 'open', work: 'starting').select(:unit_id)
        all = DB[:start_threshold].exclude(unit_id: down).join(:unit, id: :unit_id).join(:yard, id: Sequel[:unit][:yard_id])
                                  .where(Sequel[:unit][:retired_at] => nil)
        @yard_id ? all.where(Sequel[:unit][:yard_id] => @yard_id) : all
      end

      # In the rough order of what is at stake, more than are shown: exactly they are worked out one by one.
      #
      # SQL: select start_threshold.*, number, name, yard_id, yard.name, time_zone from <foreseen> join night on yard_id
      #      where (yard_id, dawn) in (...) order by <rough chance x weight> desc limit 120
      def likely
        return [] if dawns.empty?

        foreseen.join(Models::Night.where(coming).as(:night), yard_id: Sequel[:unit][:yard_id])
                .order(Sequel.desc(RoughChance.consequence)).limit(MOST_WEIGHED).select_all(:start_threshold)
                .select_append(*%i[matters parked_since number name yard_id].map { |name| Sequel[:unit][name] }, Sequel[:yard][:name].as(:yard),
                               Sequel[:yard][:time_zone]).all
      end

      def line(row)
        night = nights.fetch(row[:yard_id])
        parked = Models::Unit.nights_parked(row[:parked_since], night.dawn)
        evening = Models::StartThreshold.call(row).evening(**night.forecast, nights_parked: parked)
        Line.new(nights_parked: parked, row: row, evening: evening, chance: evening.chance(night.low_celsius), low_celsius: night.low_celsius)
      end

      # What cannot wait before what another can do.
      def consequence(one) = Wattomneum::ColdStart::Consequence.rank(one.chance, one.row[:matters])

      def plans(lines) = @plans ||= Models::RemedyPlan.of(lines.map { |one| one.row[:unit_id] }, dawns.values.uniq)

      def systems(plans)
        Models::Unit.where(id: plans.keys.map(&:first).uniq).to_h { |unit| [unit.id, unit.core_system] }
      end

      def outcomes(lines)
        ids = lines.map { |one| one.row[:unit_id] }
        Models::Morning.where(unit_id: ids, dawn: dawns.values.uniq).select_map(%i[unit_id dawn outcome])
                       .to_h { |unit_id, dawn, outcome| [[unit_id, dawn], outcome] }
      end

      # Of mornings that were named or failed, few of all: an index has no others.
      #
      # SQL: select count(*) filter (where chance > 0.5), count(*) filter (where chance > 0.5 and <failed>), count(*) filter (where <failed>)
      #      from morning where dawn > ? and chance is not null and outcome in ? and (chance > 0.5 or <failed>)
      def record
        failed = Sequel.expr(outcome: Wattomneum::ColdStart::Morning::FAILED)
        named = Sequel[:chance] > NAMED
        counts = [named, named & failed, failed].map { |which| Sequel.function(:count).*.filter(which) }
        told = Models::Morning.where { dawn > Date.today - RECORD_DAYS }.exclude(chance: nil).where(named | failed)
                              .where(outcome: Wattomneum::ColdStart::Morning::TELLING.keys)
        Record.new(**Record.members.zip(told.naked.get(counts.zip(Record.members).map { |count, name| count.as(name) })).to_h)
      end
    end
  end
end
