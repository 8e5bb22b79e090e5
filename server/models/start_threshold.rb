# frozen_string_literal: true

module Server
  module Models
    # The temperature under which a unit is more likely than not to fail: by its readings, moved by its mornings. A row that can be worked out
    # anew at any time; written where a reading, a battery or a morning changes it.
    class StartThreshold < Sequel::Model(:start_threshold)
      unrestrict_primary_key
      CORE = Wattomneum
      # Mornings of two winters: what is older says nothing of the unit that it is now.
      TOLD_DAYS = 500
      OF_READINGS = %i[degrees_per_charge degrees_per_battery_degree slow_celsius limited_by].freeze
      private_constant :TOLD_DAYS, :OF_READINGS

      class << self
        # After a reading, a repair, a battery or a change of the unit itself.
        #
        # @param unit [Unit]
        # @return [StartThreshold, nil] nil where nothing can be forecast
        def work_out(unit)
          db.transaction do
            alone([unit.id])
            inputs = Queries::StartInputs.new(unit)
            found = inputs.call
            next where(unit_id: unit.id).delete && nil if found.nil?

            kept = columns_of(CORE::ColdStart::Threshold.new(found.inputs), found, inputs.system)
            kept[:remedies] = Sequel.pg_jsonb(remedies(inputs, found, kept[:capacity_ampere_hour]))
            dataset.insert_conflict(target: :unit_id, update: kept).insert(unit_id: unit.id, **kept)
            hear_mornings([unit.id]).first
          end
        end

        # After mornings were told, or how cold they were.
        #
        # @param unit_ids [Array<String>]
        # @return [Array<StartThreshold>]
        def hear_mornings(unit_ids)
          db.transaction do
            alone(unit_ids)
            shift = FleetShift.now
            changed_at = Fitting.changed_at(unit_ids)
            told = told_of(unit_ids)
            where(unit_id: unit_ids).all.each { |row| row.hear(told.fetch(row.unit_id, []), since: changed_at[row.unit_id]&.to_date, shift: shift) }
          end
        end

        # Every standing unit, one after another.
        #
        # @return [Integer] how many can be forecast
        def work_out_all = Unit.standing(false).select_map(:id).count { |id| work_out(Unit.with_pk!(id)) }

        private

        # One after another and in one order, so that none is worked out of what stood before another's write, and no two wait for each other.
        # What only refers to a unit does not wait.
        #
        # SQL: select id from unit where id in ? order by id for no key update
        def alone(unit_ids) = Unit.where(id: unit_ids).order(:id).lock_style('FOR NO KEY UPDATE').select_map(:id)

        # SQL: select * from morning where unit_id in ? and dawn >= ? and low_celsius is not null order by dawn
        def told_of(unit_ids)
          Morning.where(unit_id: unit_ids).where { dawn >= Date.today - TOLD_DAYS }.exclude(low_celsius: nil).order(:dawn).all.group_by(&:unit_id)
        end

        # Of a unit that ran the day before; those of a night in which it may freeze are told on its own sheet.
        def remedies(inputs, found, capacity)
          charge = CORE::ColdStart::Evening.charge(nights_parked: 1, capacity_ampere_hour: capacity)
          inputs.remedies(found, charge: charge, limits: Queries::FleetRules.new.limits)
                .map { |one| { key: one.key, words: one.words, degrees: one.degrees.round(2), minutes: one.minutes } }
        end

        # What its mornings are to move it from stands in it until they do.
        def columns_of(threshold, found, system)
          by_readings = { celsius: threshold.celsius, variance: threshold.variance }
          { **by_readings, **by_readings.transform_keys { |key| :"reading_#{key}" }, **OF_READINGS.to_h { |key| [key, threshold.public_send(key)] },
            tested: !found.read_at.nil?, read_at: found.read_at, narrowing: Sequel.pg_jsonb(threshold.narrowing.first(3)),
            capacity_ampere_hour: system.capacity_ampere_hour(usual_ampere_hour: CORE::ColdStart::Table.figure('labels', 'capacity_ampere_hour')),
            worked_out_at: Time.now.utc }
        end
      end

      # @param mornings [Array<Morning>] in order
      # @param since [Date, nil] when its batteries became what they are
      # @param shift [CORE::ColdStart::FleetShift::Shift]
      # @return [self]
      def hear(mornings, since:, shift:)
        told = CORE::ColdStart::Told.new(shift.on(by_readings), capacity_ampere_hour: capacity_ampere_hour)
                                    .hear(mornings.select { |one| since.nil? || one.dawn >= since }.map(&:to_core))
        update(celsius: told.stored.celsius, variance: told.stored.variance, mornings: told.count,
               coldest_start: told.coldest_start, warmest_failure: told.warmest_failure)
        self
      end

      # @return [CORE::ColdStart::Evening::Stored]
      def stored = CORE::ColdStart::Evening::Stored.of(self)

      # @param low_celsius [Float]
      # @param day_before_celsius [Float, nil]
      # @param nights_parked [Integer] since it last ran
      # @return [CORE::ColdStart::Evening]
      def evening(low_celsius:, day_before_celsius:, nights_parked: 1)
        CORE::ColdStart::Evening.of(stored, capacity_ampere_hour: capacity_ampere_hour, low_celsius: low_celsius,
                                            day_before_celsius: day_before_celsius, nights_parked: nights_parked)
      end

      private

      def by_readings = stored.tap { |one| one.celsius = reading_celsius }.tap { |one| one.variance = reading_variance }
    end
  end
end
