# frozen_string_literal: true

module Server
  module Models
    # How a unit started at dawn, beside what was forecast the evening before. Said again, it is what was said last.
    class Morning < Sequel::Model(:morning)
      unrestrict_primary_key
      CORE = Wattomneum
      RAN = %w[started slow jumped helped].freeze
      SAID_FIRST = %i[id unit_id dawn chance own_celsius own_variance nights_parked].freeze
      private_constant :SAID_FIRST

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

          refuse_future(units.values, dawn)
          nights = Night.where(dawn: dawn, yard_id: units.values.map(&:yard_id).uniq).to_h { |night| [night.yard_id, night] }
          thresholds = StartThreshold.foreseeing(units.keys)
          # In one order, whoever else enters them too.
          rows = entries.sort_by { |one| one[:unit_id] }.map do |entry|
            unit = units.fetch(entry[:unit_id])
            { id: SecureRandom.uuid, unit_id: unit.id, dawn: dawn, outcome: entry[:outcome], person_id: by.id, said_at: Time.now.utc,
              **forecast(nights[unit.yard_id], thresholds[unit.id], Unit.nights_parked(unit.parked_since, dawn)) }
          end
          keep(rows)
          it_ran(entries, dawn)
          StartThreshold.hear(units.keys, dawn: dawn)
        end

        private

        # What was forecast when it was said first stays beside it.
        def keep(rows)
          said_again = (rows.first.keys - SAID_FIRST).to_h { |name| [name, Sequel[:excluded][name]] }
          dataset.insert_conflict(target: %i[unit_id dawn], update: said_again).multi_insert(rows)
        end

        # Beside what was said of it, what the unit alone had said, whatever the fleet's last weeks add.
        def forecast(night, threshold, nights_parked)
          evening = night && threshold&.evening(**night.forecast, nights_parked: nights_parked)
          { low_celsius: night&.at_dawn, day_before_celsius: night&.day_before_celsius, nights_parked: nights_parked,
            chance: evening&.chance(night.low_celsius), own_celsius: evening && (evening.celsius - threshold.late_celsius),
            own_variance: evening&.own_variance }
        end

        # What started stands no more; what stood since a later day was parked after it.
        def it_ran(entries, dawn)
          ran = entries.select { |one| RAN.include?(one[:outcome]) }.map { |one| one[:unit_id] }
          Unit.where(id: ran).where { parked_since < dawn }.update(parked_since: nil)
        end

        def refuse_future(units, dawn)
          today = units.map { |unit| unit.yard.time_zone }.uniq.map { |zone| Yard.day_of(Time.now.utc, zone) }.min
          return if dawn <= today

          raise Refusals::InvalidInput.new('That morning is yet to come', fields: { 'dawn' => ["is after #{today}"] })
        end
      end
    end
  end
end
