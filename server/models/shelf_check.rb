# frozen_string_literal: true

module Server
  module Models
    # A spare battery looked after: its volts at rest, or that it was charged to full. Append-only.
    class ShelfCheck < Sequel::Model(:shelf_check)
      unrestrict_primary_key

      class << self
        # @param battery [Battery]
        # @param input [Hash] of Contracts::NewShelfCheck
        # @param by [Account]
        # @return [ShelfCheck]
        # @raise [Refusals::Question] where the volts are odd for one battery
        # @raise [Refusals::InvalidInput] if it is not on the shelf
        def note(battery, input, by:)
          refuse_elsewhere(battery)
          volt = input[:rest_volt]
          ask(volt) if volt && !input[:confirmed]
          create(id: input[:id], battery_id: battery.id, rest_volt: volt, charged: input.fetch(:charged, false), person_id: by.id,
                 checked_at: Sequel.function(:clock_timestamp))
        end

        # SQL: select distinct on (battery_id) * from shelf_check where battery_id in ? order by battery_id, checked_at desc
        #
        # @param battery_ids [Array<String>]
        # @return [Hash{String => ShelfCheck}] the last of each
        def last_of(battery_ids)
          where(battery_id: battery_ids).distinct(:battery_id).order(:battery_id, Sequel.desc(:checked_at)).as_hash(:battery_id)
        end

        private

        def refuse_elsewhere(battery)
          raise Refusals::InvalidInput.new('It was scrapped: take that back first', fields: {}) if battery.scrapped_at

          fitting = Fitting.current.eager(:unit).where(battery_id: battery.id).all.first or return
          raise Refusals::InvalidInput.new("It stands in #{fitting.unit.number}: read it there, in a job", fields: {})
        end

        def ask(volt)
          question = Wattomneum::Batteries::Spare.question(volt) or return
          raise Refusals::Question.new(question.text, fields: { 'rest_volt' => [question.text] },
                                                      details: { question: question.to_h.merge(base_unit: 'V') })
        end
      end
    end
  end
end
