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
      KEPT = %i[celsius variance degrees_per_charge degrees_per_battery_degree slow_celsius].freeze
      USUAL_CAPACITY_AMPERE_HOUR = 90.0
      private_constant :TOLD_DAYS, :KEPT, :USUAL_CAPACITY_AMPERE_HOUR

      class << self
        # @param unit [Unit]
        # @param shift [CORE::ColdStart::FleetShift::Shift]
        # @return [StartThreshold, nil] nil where nothing can be forecast
        def work_out(unit, shift: FleetShift.now)
          alone(unit)
          inputs = Queries::StartInputs.new(unit)
          found = inputs.call
          return where(unit_id: unit.id).delete && nil if found.nil?

          threshold = CORE::ColdStart::Threshold.new(found.inputs)
          prior = shifted(by_readings(threshold), shift)
          kept = columns_of(threshold, found, capacity(inputs.system)).merge(moved(prior, unit, inputs))
          dataset.insert_conflict(target: :unit_id, update: kept.except(:unit_id)).insert(unit_id: unit.id, **kept)
          with_pk!(unit.id)
        end

        # Every standing unit, some at a time.
        #
        # @return [Integer] how many can be forecast
        def work_out_all
          shift = FleetShift.now
          Unit.standing(false).select_map(:id).count { |id| work_out(Unit.with_pk!(id), shift: shift) }
        end

        private

        # One after another, so that none is worked out of what stood before another's write. Nothing that only refers to the unit waits for it.
        #
        # SQL: select id from unit where id = ? for no key update
        def alone(unit) = Unit.where(id: unit.id).lock_style('FOR NO KEY UPDATE').get(:id)

        def by_readings(threshold) = CORE::ColdStart::Evening::Stored.new(**KEPT.to_h { |key| [key, threshold.public_send(key)] })

        def shifted(stored, shift)
          stored.dup.tap do |one|
            one.celsius += shift.celsius
            one.variance *= shift.ratio**2
          end
        end

        def columns_of(threshold, found, capacity)
          { tested: !found.read_at.nil?, read_at: found.read_at, reading_celsius: threshold.celsius, reading_variance: threshold.variance,
            **KEPT.drop(2).to_h { |key| [key, threshold.public_send(key)] }, limited_by: threshold.limited_by,
            capacity_ampere_hour: capacity, narrowing: Sequel.pg_jsonb(threshold.narrowing.first(3)),
            worked_out_at: Time.now.utc }
        end

        def capacity(system)
          known = system.batteries.values.filter_map(&:capacity_ampere_hour)
          each = known.empty? ? USUAL_CAPACITY_AMPERE_HOUR : known.sum / known.size
          system.parallel? ? each * system.battery_count : each
        end

        # The mornings since the batteries are what they are, in order.
        def moved(prior, unit, inputs)
          since = [inputs.batteries_changed_at&.to_date, Date.today - TOLD_DAYS].compact.max
          told = Morning.where(unit_id: unit.id).where { dawn >= since }.exclude(low_celsius: nil).order(:dawn).all
          extremes = [nil, nil]
          ampere_hour = capacity(inputs.system)
          after = told.reduce(prior) { |stored, morning| morning.moving(stored, ampere_hour) { |outcome, air| note(extremes, outcome, air) } }
          { celsius: after.celsius, variance: after.variance, mornings: told.count(&:telling?),
            coldest_start: extremes.first, warmest_failure: extremes.last }
        end

        def note(extremes, outcome, air)
          outcome == 'failed' ? extremes[1] = [extremes[1], air].compact.max : extremes[0] = [extremes[0], air].compact.min
        end
      end

      # @return [CORE::ColdStart::Evening::Stored]
      def stored = CORE::ColdStart::Evening::Stored.new(**values.slice(*KEPT))
    end
  end
end
