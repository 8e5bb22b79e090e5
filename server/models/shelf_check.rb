# frozen_string_literal: true

module Server
  module Models
    # A spare battery looked after: its volts at rest, or that it was charged to full. Append-only.
    class ShelfCheck < Sequel::Model(:shelf_check)
      unrestrict_primary_key

      # What its tester is worth by the label and the limits of now. One that counts was taken of a settled battery.
      #
      # @param battery [Battery]
      # @return [Wattomneum::Evidence::Judgement]
      def judgement(battery)
        Wattomneum::Batteries::ShelfTest.new(battery.to_core, tester_ampere: tester_ampere, rest_volt: rest_volt, celsius: celsius, settled: true,
                                                              limits: Queries::FleetRules.new.limits).judgement
      end

      class << self
        # @param battery [Battery]
        # @param input [Hash] of Contracts::NewShelfCheck
        # @param by [Account]
        # @return [void]
        # @raise [Refusals::Question] where the volts are odd for one battery
        # @raise [Refusals::InvalidInput] if it is not on the shelf
        def note(battery, input, by:)
          refuse_elsewhere(battery)
          volt = input[:rest_volt]
          ask(volt) if volt && !input[:confirmed]
          create(id: input[:id], battery_id: battery.id, rest_volt: volt, charged: input.fetch(:charged, false), person_id: by.id,
                 celsius: input[:celsius], checked_at: Sequel.function(:clock_timestamp), **tested(battery, input))
          BatteryState.work_out([battery.id])
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

          unit = battery.stands_in or return
          raise Refusals::InvalidInput.new("It stands in #{unit.number}: read it there, in a job", fields: {})
        end

        # Judged as it was entered: what is found later beside it, it had not.
        def tested(battery, input)
          ampere = input[:tester_ampere] or return {}
          ask_tester(battery, ampere) unless input[:confirmed]
          judgement = Wattomneum::Batteries::ShelfTest.new(
            battery.to_core, tester_ampere: ampere, rest_volt: input[:rest_volt], celsius: input[:celsius], settled: input.fetch(:settled, false),
                             limits: Queries::FleetRules.new.limits
          ).judgement
          { tester_ampere: ampere, verdict: judgement.verdict, validity: judgement.validity,
            snapshot: Sequel.pg_jsonb(judgement.to_h.transform_keys(&:to_s)) }
        end

        def ask_tester(battery, ampere)
          test = Wattomneum::Readings::Catalogue.fetch('battery_test')
          system = Wattomneum::Units::ElectricalSystem.new(system_volt: 12, arrangement: 'single', battery_count: 1,
                                                           usual_cranking_current_ampere: nil)
          question = Wattomneum::Readings::Plausibility.question(test: test, value: ampere, system: system,
                                                                 rated_ampere: battery.rating_ampere) or return
          raise Refusals::Question.new(question.text, fields: { 'tester_ampere' => [question.text] },
                                                      details: { question: question.to_h.merge(base_unit: 'A', test_key: 'tester_ampere') })
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
