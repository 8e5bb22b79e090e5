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
      NEAR_DAYS = 7
      private_constant :TOLD_DAYS, :COMING_DAYS, :NEAR_DAYS

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
          ask_fahrenheit(yard, input) unless input[:confirmed]
          typed = { source: 'typed', said_at: Time.now.utc, **input.slice(:low_celsius, :day_before_celsius, :measured_celsius) }
          low = typed[:low_celsius] || first(yard_id: yard.id, dawn: input[:dawn])&.low_celsius || typed[:measured_celsius]
          raise Refusals::InvalidInput.of({ 'low_celsius' => ['say how cold it gets'] }) if low.nil?

          keep(yard, input[:dawn], { **typed, low_celsius: low })
        end

        # What a weather service says: of a low that somebody typed it changes nothing, nor of one that was measured.
        #
        # @param yard [Yard]
        # @param dawn [Date]
        # @param told [Weather::Told]
        # @return [Night]
        def hear(yard, dawn, told)
          heard = { low_celsius: told.low_celsius, day_before_celsius: told.day_before_celsius, source: 'weather', said_at: Time.now.utc }
          db.transaction do
            dataset.insert_conflict.insert(yard_id: yard.id, dawn: dawn, **heard)
            night = for_update.first(yard_id: yard.id, dawn: dawn)
            night.update(**(night.source == 'typed' ? {} : heard), measured_celsius: night.measured_celsius || told.measured_celsius)
            night.tap(&:tell_mornings)
          end
        end

        private

        # A night that is to come, or one of the last weeks that somebody looks up in the log.
        def refuse_other_times(yard, dawn)
          today = Yard.day_of(Time.now.utc, yard.time_zone)
          return if dawn.between?(today - TOLD_DAYS, today + COMING_DAYS)

          why = "is not within #{TOLD_DAYS} days before and #{COMING_DAYS} after today"
          raise Refusals::InvalidInput.of({ 'dawn' => [why] })
        end

        # @raise [Refusals::Question] where it looks as if it was read in Fahrenheit
        def ask_fahrenheit(yard, input)
          near = known_near(yard, input[:dawn])
          input.slice(:low_celsius, :measured_celsius, :day_before_celsius).compact.each do |field, celsius|
            question = CORE::ColdStart::DegreesMeant.question(celsius, near_celsius: near) or next
            raise Refusals::Question.new(question.text, fields: { field.to_s => [question.text] },
                                                        details: { question: question.to_h.merge(base_unit: 'degC') })
          end
        end

        # What was said of this night already, or of the nearest one to it of this week: of this yard, else of any.
        #
        # SQL: select coalesce(measured_celsius, low_celsius) from night where dawn between ? and ? order by yard_id = ? desc, abs(dawn - ?) limit 1
        def known_near(yard, dawn)
          where(dawn: (dawn - NEAR_DAYS)..(dawn + NEAR_DAYS))
            .order(Sequel.desc(Sequel.expr(yard_id: yard.id)), Sequel.function(:abs, Sequel[:dawn] - Sequel.cast(dawn, Date)))
            .get(Sequel.function(:coalesce, :measured_celsius, :low_celsius))
        end

        def keep(yard, dawn, row)
          db.transaction do
            dataset.insert_conflict(target: %i[yard_id dawn], update: row).insert(yard_id: yard.id, dawn: dawn, **row)
            first(yard_id: yard.id, dawn: dawn).tap(&:tell_mornings)
          end
        end
      end

      # @return [Float] degC, measured where it was
      def at_dawn = measured_celsius || low_celsius

      # @return [Hash{Symbol => Float, nil}] as it was told in the evening
      def forecast = { low_celsius: low_celsius, day_before_celsius: day_before_celsius }

      # What was said of this morning before anybody said how cold it was.
      def tell_mornings
        told = Morning.where(dawn: dawn, unit_id: Unit.where(yard_id: yard_id).select(:id))
        other = Sequel.lit('(low_celsius, day_before_celsius) is distinct from (?::float8, ?::float8)', at_dawn, day_before_celsius)
        changed = told.where(other).select_map(:unit_id)
        return if changed.empty?

        told.update(low_celsius: at_dawn, day_before_celsius: day_before_celsius)
        StartThreshold.hear(changed, dawn: dawn)
      end
    end
  end
end
