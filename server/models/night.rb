# frozen_string_literal: true

module Server
  module Models
    # The night before a dawn in one yard: its low as it was forecast or typed, and as it was measured. What somebody typed wins.
    class Night < Sequel::Model(:night)
      unrestrict_primary_key
      many_to_one :yard, class: 'Server::Models::Yard'
      CORE = Wattomneum
      TOLD_DAYS = 60
      COMING_DAYS = 3
      private_constant :TOLD_DAYS, :COMING_DAYS

      class << self
        # From noon on it is the next dawn that people think of.
        #
        # @param now [Time]
        # @return [Hash{String => Date}] the coming dawn, or this morning's, of each yard by id
        def dawns(now) = Yard.days(now + (12 * 3600))

        # @param yard [Yard]
        # @param input [Hash] of Contracts::NightFields
        # @return [Night]
        def say(yard, input)
          refuse_other_times(yard, input[:dawn])
          typed = { source: 'typed', said_at: Time.now.utc, **input.slice(:low_celsius, :day_before_celsius, :measured_celsius) }
          low = typed[:low_celsius] || first(yard_id: yard.id, dawn: input[:dawn])&.low_celsius || typed[:measured_celsius]
          raise Refusals::InvalidInput.new('Please look at: low celsius', fields: { 'low_celsius' => ['say how cold it gets'] }) if low.nil?

          keep(yard, input[:dawn], { **typed, low_celsius: low })
        end

        # What a weather service says: of a low that somebody typed it changes nothing, nor of one that was measured.
        #
        # @param yard [Yard]
        # @param dawn [Date]
        # @param told [Weather::Told]
        # @return [Night]
        def hear(yard, dawn, told)
          known = first(yard_id: yard.id, dawn: dawn)
          measured = known&.measured_celsius || told.measured_celsius
          return known.tap { |night| night.update(measured_celsius: measured) }.tap(&:tell_mornings) if known&.source == 'typed'

          keep(yard, dawn, { low_celsius: told.low_celsius, day_before_celsius: told.day_before_celsius, measured_celsius: measured,
                             source: 'weather', said_at: Time.now.utc })
        end

        # @param stored [CORE::ColdStart::Evening::Stored]
        # @param capacity_ampere_hour [Float]
        # @param low_celsius [Float]
        # @param day_before_celsius [Float, nil]
        # @return [CORE::ColdStart::Evening] of a unit that ran the day before
        def evening(stored, capacity_ampere_hour:, low_celsius:, day_before_celsius:)
          charge = CORE::ColdStart::Evening.charge(nights_parked: 1, capacity_ampere_hour: capacity_ampere_hour)
          CORE::ColdStart::Evening.new(stored, charge: charge,
                                               warmer_celsius: CORE::ColdStart::Evening.warmer_celsius(day_before_celsius, low_celsius))
        end

        private

        # A night that is to come, or one of the last weeks that somebody looks up in the log.
        def refuse_other_times(yard, dawn)
          today = Yard.day_of(Time.now.utc, yard.time_zone)
          return if dawn.between?(today - TOLD_DAYS, today + COMING_DAYS)

          why = "is not within #{TOLD_DAYS} days before and #{COMING_DAYS} after today"
          raise Refusals::InvalidInput.new('Please look at: dawn', fields: { 'dawn' => [why] })
        end

        def keep(yard, dawn, row)
          dataset.insert_conflict(target: %i[yard_id dawn], update: row).insert(yard_id: yard.id, dawn: dawn, **row)
          first(yard_id: yard.id, dawn: dawn).tap(&:tell_mornings)
        end
      end

      # @return [Float] degC, measured where it was
      def at_dawn = measured_celsius || low_celsius

      # @param row [StartThreshold]
      # @return [CORE::ColdStart::Evening]
      def evening(row)
        self.class.evening(row.stored, capacity_ampere_hour: row.capacity_ampere_hour, low_celsius: low_celsius,
day_before_celsius: day_before_celsius)
      end

      # What was said of this morning before anybody said how cold it was.
      def tell_mornings
        told = Morning.where(dawn: dawn, unit_id: Unit.where(yard_id: yard_id).select(:id))
        other = Sequel.lit('(low_celsius, day_before_celsius) is distinct from (?::float8, ?::float8)', at_dawn, day_before_celsius)
        changed = told.where(other).select_map(:unit_id)
        return if changed.empty?

        told.update(low_celsius: at_dawn, day_before_celsius: day_before_celsius)
        Unit.where(id: changed).order(:id).all.each { |unit| StartThreshold.work_out(unit) }
      end
    end
  end
end
