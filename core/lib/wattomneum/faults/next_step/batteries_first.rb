# frozen_string_literal: true

module Wattomneum
  module Faults
    class NextStep
      # The batteries one by one, charge before health.
      class BatteriesFirst
        CHARGE_MINUTES = 30
        private_constant :CHARGE_MINUTES

        # @param assessment [Assessment]
        # @param steps [NextStep] makes the steps
        def initialize(assessment, steps)
          @assessment = assessment
          @steps = steps
        end

        # @return [Step, nil]
        def call
          return unless system.lead_acid_volts?

          system.positions.each do |position|
            next unless system.batteries[position].nil? || system.batteries[position].lead_acid?

            step = charge_of(position) || health_of(position)
            return step if step
          end
          nil
        end

        private

        attr_reader :assessment, :steps

        def system = assessment.system

        def charge_of(position)
          judgement = assessment.judgement('hydrometer',
                                           position: position) || assessment.judgement('rest_voltage', position: position)
          return if judgement&.convicts&.include?('battery')
          return if steps.in_vain?('rest_voltage', position)
          return steps.measure('rest_voltage', position: position, why: 'A weak battery makes every other reading lie') if
            judgement.nil? || !judgement.usable?
          return if judgement.sound?

          Step.new(kind: 'charge', position: position, test_key: 'rest_voltage', minutes: CHARGE_MINUTES,
                   title: "Charge battery #{position}, then read it again", why: judgement.summary)
        end

        def health_of(position)
          return if settled?('battery_test', position) || settled?('load_test', position) || steps.in_vain?('battery_test', position)

          steps.measure('battery_test', position: position, why: 'A weak battery makes every other reading lie')
        end

        def settled?(test_key, position) = assessment.judgement(test_key, position: position)&.usable?
      end
    end
  end
end
