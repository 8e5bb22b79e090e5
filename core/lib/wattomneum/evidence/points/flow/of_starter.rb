# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      module Flow
        # The starter's current: by clamp, by the volts across what hangs on the path, else only bounded by what the engine did and how far
        # the posts sagged.
        class OfStarter < OfLoads
          # @return [Float, nil]
          def share
            return @share if defined?(@share)

            @share = clamped ? clamped.ampere / usual_ampere : by_load
          end

          # @return [Float, nil] the most that can have flowed: what sag and engine allow, or what this bank could drive through the drop
          def most_share = share.nil? ? (flow.most_ampere || through_the_drop_ampere) / usual_ampere : nil

          # @return [Boolean, nil]
          def enough? = share ? share >= least_share : flow.adequate?

          # @return [Float]
          def usual_ampere = flow.usual_ampere

          # @return [Float]
          def error_ratio = clamped ? MeterError.ampere(clamped.ampere) / clamped.ampere : 0.0

          # @return [Limits::Limit]
          def least = @circumstances.limits.fetch('cranking.flow_least')

          # @return [String]
          def words = 'the usual current'

          # @return [Array<String>]
          def arithmetic
            return [] if share || flow.estimate.nil?

            [flow.estimate.arithmetic, ("needed: #{Quantities::Figure.ampere(flow.least_ampere)}" if enough? == false)].compact
          end

          # @return [String]
          def instead
            return 'Clamp the cable, or read the posts at rest and while cranking' if enough?.nil?

            'Load the path: pile of 300 to 500 A from stud to case, or crank once the starter turns'
          end

          # @return [Boolean] what a lamp draws is nothing here
          def under_load? = false

          private

          def flow = @flow ||= Cranking::Flow.new(@reading, @circumstances.tests)
          def clamped = flow.estimate&.then { |found| found if found.exact && found.ampere.positive? }

          # A clamp's figure said beside the reading. What else hangs on the path draws next to nothing of this.
          def by_load = @reading.conditions.number('current_ampere')&.fdiv(usual_ampere)

          # Formula: I = (U - drop) / R, U of a full bank, R the least that its ratings leave it; Ohm's law. Where no rating says anything of
          # the bank, what a stalled starter has inside bounds it: rho U / I_usual.
          def through_the_drop_ampere
            system = @circumstances.system
            full_volt = Batteries::StateOfCharge.rest_voltage(charge_percent: 100.0) * system.blocks_in_series
            ohm = Batteries::Bank.least_ohm(system, temperature_celsius: nil, limits: @circumstances.limits)
            ohm += Cranking::CrankTest::OWN_RESISTANCE_SHARE * full_volt / usual_ampere unless system.lead_acid?
            [full_volt - @reading.value.abs, 0.0].max / ohm
          end
        end
      end
    end
  end
end
