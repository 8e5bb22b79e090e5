# frozen_string_literal: true

module Server
  module Models
    # The temperature under which a unit is more likely than not to fail: by its readings, moved by its mornings. A row that can be worked out
    # anew at any time; written where a reading, a battery or a morning changes it.
    class StartThreshold < Sequel::Model(:start_threshold)
      unrestrict_primary_key
      CORE = Wattomneum
      OF_READINGS = %i[degrees_per_charge degrees_per_battery_degree slow_celsius limited_by].freeze
      # Units that wait for each other while all are worked out.
      AT_ONCE = 250
      private_constant :AT_ONCE

      class << self
        include Rows

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

        # After a morning was told, or how cold it was: where nothing later was heard yet, that one alone is.
        #
        # @param unit_ids [Array<String>]
        # @param dawn [Date]
        # @return [void]
        def hear(unit_ids, dawn:)
          db.transaction do
            Unit.one_after_another(unit_ids)
            last, earlier = of_units(unit_ids).partition { |row| row.last?(dawn) }
            told = Morning.where(unit_id: last.map(&:unit_id), dawn: dawn).naked.as_hash(:unit_id)
            past = Past.new(last.map(&:unit_id))
            fleet = FleetPrior.now
            change(last.to_h { |row| [row.unit_id, row.with_last(told[row.unit_id], dawn, past: past, fleet: fleet)] })
            hear_all(earlier.map(&:unit_id)) if earlier.any?
          end
        end

        # All of their past anew.
        #
        # @param unit_ids [Array<String>]
        # @return [void]
        def hear_all(unit_ids)
          db.transaction do
            Unit.one_after_another(unit_ids)
            past = Past.new(unit_ids)
            fleet = FleetPrior.now
            change(of_units(unit_ids).to_h { |row| [row.unit_id, row.told(past, fleet: fleet)] })
          end
        end

        # After the fleet taught something else: what their mornings said stands.
        #
        # @param unit_ids [Array<String>]
        # @return [void]
        def expect_anew(unit_ids)
          db.transaction do
            Unit.one_after_another(unit_ids)
            past = Past.new(unit_ids)
            fleet = FleetPrior.now
            change(of_units(unit_ids).to_h { |row| [row.unit_id, row.expected(past, fleet: fleet)] })
          end
        end

        # What an evening is foreseen from, without what it was heard from.
        #
        # SQL: select unit_id, celsius, variance, ... from start_threshold where unit_id in ?
        #
        # @param unit_ids [Array<String>]
        # @return [Hash{String => StartThreshold}]
        def foreseeing(unit_ids)
          where(unit_id: unit_ids).select(:unit_id, *CORE::ColdStart::Evening::Stored.members, :late_celsius, :capacity_ampere_hour, :asleep_ampere)
                                  .to_hash(:unit_id)
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
          past = Past.new(ids)
          fleet = FleetPrior.now
          limits = Queries::FleetRules.new.limits
          rows = units.filter_map { |inputs| row(inputs, past: past, fleet: fleet, limits: limits) }
          where(unit_id: ids - rows.map { |row| row[:unit_id] }).delete
          write(rows)
        end

        def row(inputs, past:, fleet:, limits:)
          found = inputs.call or return
          unit_id = inputs.unit.id
          kept = new { |row| row.values.replace(unit_id: unit_id, **of_readings(CORE::ColdStart::Threshold.new(found.inputs), found, inputs)) }
          in_columns({ **kept.values, **kept.told(past, fleet: fleet), remedies: remedies(inputs, found, kept, limits), worked_out_at: Time.now.utc })
        end

        # What its mornings are to move it from stands in it until they do.
        def of_readings(threshold, found, inputs)
          { reading_celsius: threshold.celsius, reading_variance: threshold.variance, **OF_READINGS.to_h { |key| [key, threshold.public_send(key)] },
            tested: found.tested?, read_at: found.read_at, narrowing: threshold.narrowing.first(3),
            capacity_ampere_hour: inputs.capacity_ampere_hour, asleep_ampere: inputs.asleep_ampere }
        end

        # Of a unit that ran the day before; those of a night in which it may freeze are told on its own sheet.
        def remedies(inputs, found, kept, limits)
          inputs.remedies(found, charge: kept.charge(nights_parked: 1), limits: limits)
                .map { |one| { key: one.key, words: one.words, degrees: one.degrees.round(2), minutes: one.minutes } }
        end
      end

      # @param past [Past]
      # @param fleet [CORE::ColdStart::FleetPrior::Learnt]
      # @return [Hash] columns that its past moves
      def told(past, fleet:)
        *before, last = past.of(self)
        heard = history.hear(before)
        as_before = heard.state
        heard.hear([last])
        { **columns(heard, past, fleet), before_last: as_before.to_h, read_celsius: heard.read.celsius, read_variance: heard.read.variance }
      end

      # @param dawn [Date]
      # @return [Boolean] whether nothing that came after that dawn was heard yet
      def last?(dawn) = !self[:told_logs].nil? && (heard_day.nil? || heard_day <= Past.day(dawn))

      # @param morning [Hash, nil] as it is now, in place of what was said of it before
      # @param dawn [Date]
      # @param past [Past]
      # @param fleet [CORE::ColdStart::FleetPrior::Learnt]
      # @return [Hash] columns that it moves
      def with_last(morning, dawn, past:, fleet:)
        from = heard_day == Past.day(dawn) ? CORE::ColdStart::History::State.new(**self[:before_last].to_h.transform_keys(&:to_sym)) : state
        heard = history.from(from, read)
        heard.hear([Past.dawn(morning)]) if morning && morning[:low_celsius]
        { **columns(heard, past, fleet), heard_day: Past.day(dawn), before_last: from.to_h }
      end

      # @param past [Past]
      # @param fleet [CORE::ColdStart::FleetPrior::Learnt]
      # @return [Hash] columns that what is expected of it moves
      def expected(past, fleet:) = of_fleet(history.from(state, read), past, fleet)

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

      def history = CORE::ColdStart::History.new(self, capacity_ampere_hour: capacity_ampere_hour, **awake)
      def read = read_celsius && CORE::ColdStart::History::Read.new(celsius: read_celsius, variance: read_variance)
      def state = CORE::ColdStart::History::State.new(logs: self[:told_logs]&.to_a, mornings: mornings, day: heard_day)

      def columns(heard, past, fleet)
        { **of_fleet(heard, past, fleet), mornings: heard.count, told_logs: heard.state.logs, heard_day: heard.state.day }
      end

      def of_fleet(heard, past, fleet)
        known = heard.stored(fleet, past.unit_class(unit_id))
        { celsius: known.celsius, variance: known.variance, late_celsius: fleet.lately.celsius, spread_ratio: known.spread_ratio }
      end

      # What stays on, where it was measured.
      def awake = asleep_ampere ? { awake_ampere: asleep_ampere } : {}
    end
  end
end
