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
        # Dawn of a day; whatever else was done on it comes after.
        AT_DAWN = 0.25
        BY_DAY = 0.5
        private_constant :TOLD_DAYS, :AT_DAWN, :BY_DAY

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
        def unit_class(unit_id) = units.fetch(unit_id).last

        private

        # Of labels: of the batteries as they are now.
        def read(row)
          day = row.read_at ? day_of(row.unit_id, row.read_at) : changes.fetch(row.unit_id, []).select { |one| one.kind == 'battery' }.map(&:day).max
          HISTORY::Read.new(celsius: row.reading_celsius, variance: row.reading_variance, day: day)
        end

        def day_of(unit_id, time) = Yard.day_of(time, units.fetch(unit_id).first).jd + BY_DAY

        # SQL: select unit.id, time_zone, unit_class_id from unit join yard where unit.id in ?
        def units
          @units ||= Unit.join(:yard, id: :yard_id).where(Sequel[:unit][:id] => @unit_ids)
                         .select_map([Sequel[:unit][:id], Sequel[:yard][:time_zone], Sequel[:unit][:unit_class_id]])
                         .to_h { |id, zone, unit_class| [id, [zone, unit_class]] }
        end

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

        # Several repairs of a day are one mend.
        #
        # SQL: select unit_id, made_at from repair join job_symptom using (job_id) join job on job.id = job_id
        #      where unit_id in ? and work = 'starting'
        def mends
          Repair.join(:job_symptom, job_id: Sequel[:repair][:job_id]).join(:job, id: Sequel[:repair][:job_id])
                .where(unit_id: @unit_ids, work: 'starting').select_map(%i[unit_id made_at])
                .map { |unit_id, made_at| [unit_id, day_of(unit_id, made_at)] }.uniq
                .map { |unit_id, day| [unit_id, HISTORY::Change.new(kind: 'mend', day: day)] }
        end

        # A battery that was in it before is not a new one, and those that it began with replaced none.
        #
        # SQL: select unit_id, battery_id, lower(during), upper_inf(during) from fitting where unit_id in ? order by lower(during)
        def batteries
          fittings = Fitting.where(unit_id: @unit_ids).order(Sequel.function(:lower, :during))
                            .select_map([:unit_id, :battery_id, Sequel.function(:lower, :during).as(:since),
                                         Sequel.function(:upper_inf, :during).as(:stands)])
          fittings.group_by(&:first).flat_map do |unit_id, rows|
            standing = [rows.count(&:last), 1].max
            days = rows.uniq { |row| row[1] }.group_by { |row| day_of(unit_id, row[2]) }
            days.drop(1).map { |day, came| [unit_id, HISTORY::Change.new(kind: 'battery', day: day, share: [came.size.fdiv(standing), 1.0].min)] }
          end
        end

        # SQL: select unit_id, kind, "on" from start_change where unit_id in ?
        def said
          StartChange.where(unit_id: @unit_ids).select_map(%i[unit_id kind on])
                     .map { |unit_id, kind, on| [unit_id, HISTORY::Change.new(kind: kind, day: on.jd + BY_DAY)] }
        end
      end
    end
  end
end
