# frozen_string_literal: true

module Server
  module Models
    class StartThreshold < Sequel::Model(:start_threshold)
      # All that happened to each unit's start, as core hears it: mornings, mends, batteries, what was changed, each on its own day.
      class Past
        CORE = Wattomneum
        HISTORY = CORE::ColdStart::History
        # Mornings of two winters: what is older says nothing of the unit that it is now.
        TOLD_DAYS = 500
        # Of the day: dawn, and what was done at an hour that nobody said.
        AT_DAWN = 0.25
        AT_NOON = 0.5
        private_constant :TOLD_DAYS, :AT_DAWN, :AT_NOON

        # @param dawn [Date]
        # @return [Float] number of its day
        def self.day(dawn) = dawn.jd + AT_DAWN

        # @param row [Hash{Symbol => Object}] of a morning
        # @return [HISTORY::Dawn]
        def self.dawn(row)
          HISTORY::Dawn.new(**row.slice(:outcome, :low_celsius, :day_before_celsius, :nights_parked), day: day(row[:dawn]))
        end

        # @param unit_ids [Array<String>]
        def initialize(unit_ids)
          @unit_ids = unit_ids
        end

        # @param row [StartThreshold]
        # @return [Array<HISTORY::Read, HISTORY::Dawn, HISTORY::Change>] in order
        def of(row)
          [read(row), *changes.fetch(row.unit_id, []), *dawns.fetch(row.unit_id, [])].sort_by { |one| one.day || 0.0 }
        end

        # @param unit_id [String]
        # @return [String, nil]
        def unit_class(unit_id) = classes.fetch(unit_id)

        private

        # Of labels: of the batteries as they are now.
        def read(row)
          day = row.read_at ? crank_days.fetch(row.unit_id) : changes.fetch(row.unit_id, []).select { |one| one.kind == 'battery' }.map(&:day).max
          HISTORY::Read.new(celsius: row.reading_celsius, variance: row.reading_variance, day: day)
        end

        # SQL: select unit_id, <day number of cranked_at> from start_state join unit join yard where unit_id in ? and cranked_at is not null
        def crank_days
          @crank_days ||= in_yards(StartState.exclude(cranked_at: nil)).select_map([:unit_id, day_number(:cranked_at)]).to_h
        end

        # SQL: select id, unit_class_id from unit where id in ?
        def classes = @classes ||= Unit.where(id: @unit_ids).select_map(%i[id unit_class_id]).to_h

        def in_yards(rows, unit_id: :unit_id)
          rows.join(:unit, { id: unit_id }, table_alias: :of_unit).join(:yard,
                                                                        id: Sequel[:of_unit][:yard_id]).where(Sequel[:of_unit][:id] => @unit_ids)
        end

        def day_number(column) = Yard.day_number(column, Sequel[:yard][:time_zone]).as(:day)

        # SQL: select unit_id, dawn, outcome, low_celsius, day_before_celsius, nights_parked from morning
        #      where unit_id in ? and dawn >= ? and low_celsius is not null order by dawn
        def dawns
          @dawns ||= Morning.where(unit_id: @unit_ids).where { dawn >= Date.today - TOLD_DAYS }.exclude(low_celsius: nil).order(:dawn)
                            .select(:unit_id, :dawn, :outcome, :low_celsius, :day_before_celsius, :nights_parked).naked.all
                            .group_by { |row| row[:unit_id] }.transform_values { |rows| rows.map { |row| self.class.dawn(row) } }
        end

        def changes
          @changes ||= [*mends, *batteries, *said].group_by(&:first).transform_values { |pairs| pairs.map(&:last) }
        end

        # Several repairs of a day are one mend, the last of them.
        #
        # SQL: select unit_id, <day number of made_at> from repair join job_symptom using (job_id) join job on job.id = job_id
        #      join unit join yard where unit_id in ? and work = 'starting'
        def mends
          repairs = Repair.join(:job_symptom, job_id: Sequel[:repair][:job_id]).join(:job, id: Sequel[:repair][:job_id]).where(work: 'starting')
          of = Sequel[:job][:unit_id]
          in_yards(repairs, unit_id: of).select_map([of, day_number(Sequel[:repair][:made_at])]).group_by { |unit_id, day| [unit_id, day.floor] }
                                        .map { |(unit_id, _), same| [unit_id, HISTORY::Change.new(kind: 'mend', day: same.map(&:last).max)] }
        end

        # A battery that was in it before is not a new one, and those that it began with replaced none.
        #
        # SQL: select unit_id, battery_id, <day number of lower(during)>, upper_inf(during) from fitting join unit join yard where unit_id in ?
        #      order by lower(during)
        def batteries
          since = Sequel.function(:lower, :during)
          fittings = in_yards(Fitting.order(since)).select_map([:unit_id, :battery_id, day_number(since),
                                                                Sequel.function(:upper_inf, :during).as(:stands)])
          fittings.group_by(&:first).flat_map do |unit_id, rows|
            standing = [rows.count(&:last), 1].max
            rows.uniq { |row| row[1] }.group_by { |row| row[2].floor }.values.drop(1).map do |came|
              [unit_id, HISTORY::Change.new(kind: 'battery', day: came.last[2], share: [came.size.fdiv(standing), 1.0].min)]
            end
          end
        end

        # SQL: select unit_id, kind, "on" from start_change where unit_id in ?
        def said
          StartChange.where(unit_id: @unit_ids).select_map(%i[unit_id kind on])
                     .map { |unit_id, kind, on| [unit_id, HISTORY::Change.new(kind: kind, day: on.jd + AT_NOON)] }
        end
      end
    end
  end
end
