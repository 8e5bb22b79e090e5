# frozen_string_literal: true

module Server
  module Models
    # How a unit started at dawn, beside what was forecast the evening before. Said again, it is what was said last.
    class Morning < Sequel::Model(:morning)
      unrestrict_primary_key
      CORE = Wattomneum

      class << self
        # @param entries [Array<Hash>] unit_id, outcome
        # @param dawn [Date]
        # @param by [Account]
        # @return [void]
        # @raise [Refusals::InvalidInput] for a dawn that is yet to come, or a unit that is not on record
        def enter(entries, dawn:, by:)
          units = Unit.where(id: entries.map { |one| one[:unit_id] }).eager(:yard).all.to_h { |unit| [unit.id, unit] }
          missing = entries.count { |one| !units.key?(one[:unit_id]) }
          if missing.positive?
            raise Refusals::InvalidInput.new("#{missing} of these units are not on record",
                                             fields: { 'entries' => ['name units of this fleet'] })
          end

          nights = Night.where(dawn: dawn, yard_id: units.values.map(&:yard_id).uniq).to_h { |night| [night.yard_id, night] }
          entries.each { |entry| keep(units.fetch(entry[:unit_id]), entry[:outcome], nights, dawn, by) }
          units.sort.each { |_, unit| StartThreshold.work_out(unit) } # in one order, whoever else enters them too
        end

        private

        def keep(unit, outcome, nights, dawn, by)
          refuse_future(unit, dawn)
          night = nights[unit.yard_id]
          row = { outcome: outcome, low_celsius: night&.at_dawn, day_before_celsius: night&.day_before_celsius, chance: chance(unit, night),
                  person_id: by.id, said_at: Time.now.utc }
          dataset.insert_conflict(target: %i[unit_id dawn], update: row.except(:chance)).insert(id: SecureRandom.uuid, unit_id: unit.id, dawn: dawn,
**row)
        end

        def refuse_future(unit, dawn)
          today = Yard.day_of(Time.now.utc, unit.yard.time_zone)
          return if dawn <= today

          raise Refusals::InvalidInput.new('That morning is yet to come', fields: { 'dawn' => ["is after #{today}"] })
        end

        def chance(unit, night)
          night && StartThreshold[unit.id]&.then { |row| night.evening(row).chance(night.low_celsius) }
        end
      end

      # @return [Boolean]
      def telling? = CORE::ColdStart::Morning::TELLING.key?(outcome)

      # @param stored [CORE::ColdStart::Evening::Stored]
      # @param capacity_ampere_hour [Float]
      # @yieldparam outcome [String] failed, slow or started, where it is likely to have been so
      # @yieldparam air [Float] degC of that dawn for a unit that ran the day before
      # @return [CORE::ColdStart::Evening::Stored] after this morning
      def moving(stored, capacity_ampere_hour)
        return stored unless telling?

        evening = Night.evening(stored, capacity_ampere_hour: capacity_ampere_hour, low_celsius: low_celsius, day_before_celsius: day_before_celsius)
        morning = evening.morning(low_celsius)
        yield CORE::ColdStart::Morning::TELLING.fetch(outcome), low_celsius - (evening.celsius - stored.celsius) if morning.likely?(outcome)
        morning.after(outcome)
      end
    end
  end
end
