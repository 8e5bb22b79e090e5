# frozen_string_literal: true

module Server
  module Models
    # What was changed on a unit that moves its cold start and that nothing else records: its oil, a heater.
    class StartChange < Sequel::Model(:start_change)
      unrestrict_primary_key

      # @param unit [Unit]
      # @param input [Hash] of Contracts::NewStartChange
      # @param today [Date] at its yard
      # @raise [Refusals::InvalidInput] for a day that is yet to come
      def self.say(unit, input, by:, today:)
        raise Refusals::InvalidInput.new('That day is yet to come', fields: { 'on' => ["is after #{today}"] }) if input[:on] > today

        create(unit_id: unit.id, person_id: by.id, said_at: Time.now.utc, **input)
        StartThreshold.hear_all([unit.id])
      end
    end
  end
end
