# frozen_string_literal: true

module Server
  module Models
    # The temperature under which a unit is more likely than not to fail: by its readings, moved by its mornings. A row that can be worked out
    # anew at any time; written where a reading, a battery or a morning changes it.
    class StartThreshold < Sequel::Model(:start_threshold)
      unrestrict_primary_key
      CORE = Wattomneum
      OF_READINGS = %i[degrees_per_charge degrees_per_battery_degree slow_celsius limited_by].freeze
      OF_MORNINGS = %i[celsius variance mornings coldest_start warmest_failure].freeze
      # Units that wait for each other while all are worked out.
      AT_ONCE = 250
      private_constant :OF_MORNINGS, :AT_ONCE

      class << self
        # After a reading, a repair, a battery or a change of the unit itself.
        #
        # @param unit [Unit]
        # @return [StartThreshold, nil] nil where nothing can be forecast
        def work_out(unit)
          db.transaction do
            Unit.one_after_another([unit.id])
            inputs = Queries::StartInputs.of(unit)
            keep([inputs.with(StartState.work_out(inputs))])
          end
          self[unit.id]
        end

        # After mornings were told, or how cold they were.
        #
        # @param unit_ids [Array<String>]
        # @return [void]
        def hear_mornings(unit_ids)
          db.transaction do
            Unit.one_after_another(unit_ids)
            mornings = Mornings.new(unit_ids)
            rows = where(unit_id: unit_ids).order(:unit_id).all.map do |row|
              in_columns({ **row.values, **row.told(mornings.of(row.unit_id), shift: mornings.shift) })
            end
            write(rows, OF_MORNINGS)
          end
        end

        # By what is kept of their readings.
        #
        # @param unit_ids [Array<String>]
        # @return [Integer] how many of them can be forecast
        def work_out_each(unit_ids)
          unit_ids.sort.each_slice(AT_ONCE).sum do |ids|
            db.transaction do
              Unit.one_after_another(ids)
              StartState.work_out_each(ids - StartState.where(unit_id: ids).select_map(:unit_id))
              keep(Queries::StartInputs.of_each(Unit.where(id: ids).order(:id).all))
            end
          end
        end

        private

        # @param units [Array<Queries::StartInputs>]
        def keep(units)
          ids = units.map { |inputs| inputs.unit.id }
          mornings = Mornings.new(ids)
          limits = Queries::FleetRules.new.limits
          rows = units.filter_map { |inputs| row(inputs, mornings: mornings, limits: limits) }
          where(unit_id: ids - rows.map { |row| row[:unit_id] }).delete
          write(rows, rows.first.to_h.keys - [:unit_id])
        end

        # SQL: insert into start_threshold (...) values (...), (...) on conflict (unit_id) do update set ... = excluded...
        def write(rows, changed)
          return 0 if rows.empty?

          dataset.insert_conflict(target: :unit_id, update: changed.to_h { |name| [name, Sequel[:excluded][name]] }).multi_insert(rows)
          rows.size
        end

        def row(inputs, mornings:, limits:)
          found = inputs.call or return
          unit_id = inputs.unit.id
          kept = new { |row| row.values.replace(unit_id: unit_id, **of_readings(CORE::ColdStart::Threshold.new(found.inputs), found, inputs)) }
          in_columns({ **kept.values, **kept.told(mornings.of(unit_id), shift: mornings.shift), remedies: remedies(inputs, found, kept, limits),
                       worked_out_at: Time.now.utc })
        end

        # What its mornings are to move it from stands in it until they do.
        def of_readings(threshold, found, inputs)
          { reading_celsius: threshold.celsius, reading_variance: threshold.variance, **OF_READINGS.to_h { |key| [key, threshold.public_send(key)] },
            tested: !found.read_at.nil?, read_at: found.read_at, narrowing: threshold.narrowing.first(3),
            capacity_ampere_hour: inputs.capacity_ampere_hour, asleep_ampere: inputs.asleep_ampere }
        end

        # Of a unit that ran the day before; those of a night in which it may freeze are told on its own sheet.
        def remedies(inputs, found, kept, limits)
          inputs.remedies(found, charge: kept.charge(nights_parked: 1), limits: limits)
                .map { |one| { key: one.key, words: one.words, degrees: one.degrees.round(2), minutes: one.minutes } }
        end

        def in_columns(row) = { **row, narrowing: Sequel.pg_jsonb(row[:narrowing]), remedies: Sequel.pg_jsonb(row[:remedies]) }
      end

      # @param dawns [Array<CORE::ColdStart::Told::Dawn>] in order
      # @param shift [CORE::ColdStart::FleetShift::Shift]
      # @return [Hash] columns that its mornings move
      def told(dawns, shift:)
        told = CORE::ColdStart::Told.new(shift.on(by_readings), capacity_ampere_hour: capacity_ampere_hour, **awake).hear(dawns)
        { celsius: told.stored.celsius, variance: told.stored.variance, mornings: told.count, coldest_start: told.coldest_start,
          warmest_failure: told.warmest_failure }
      end

      # @return [CORE::ColdStart::Evening::Stored]
      def stored = CORE::ColdStart::Evening::Stored.of(self)

      # @param low_celsius [Float]
      # @param day_before_celsius [Float, nil]
      # @param nights_parked [Integer] since it last ran
      # @return [CORE::ColdStart::Evening]
      def evening(low_celsius:, day_before_celsius:, nights_parked: 1)
        CORE::ColdStart::Evening.of(stored, capacity_ampere_hour: capacity_ampere_hour, low_celsius: low_celsius,
                                            day_before_celsius: day_before_celsius, nights_parked: nights_parked, **awake)
      end

      # @param night [Night]
      # @return [Integer] nights that it may stand in such cold, as Evening has it
      def nights_standing(night)
        CORE::ColdStart::Evening.nights_standing(stored, most: Unit::MOST_NIGHTS, capacity_ampere_hour: capacity_ampere_hour,
                                                         **night.forecast, **awake)
      end

      # @param nights_parked [Integer]
      # @return [CORE::ColdStart::Evening::Charge]
      def charge(nights_parked:)
        CORE::ColdStart::Evening.charge(nights_parked: nights_parked, capacity_ampere_hour: capacity_ampere_hour, **awake)
      end

      private

      # What stays on, where it was measured.
      def awake = asleep_ampere ? { awake_ampere: asleep_ampere } : {}

      def by_readings
        CORE::ColdStart::Evening::Stored.new(celsius: reading_celsius, variance: reading_variance, degrees_per_charge: degrees_per_charge,
                                             degrees_per_battery_degree: degrees_per_battery_degree, slow_celsius: slow_celsius)
      end
    end
  end
end
