# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      module Flow
        # The alternator's current, by clamp, against its rating; where that is not entered, drops are judged at the current that flowed.
        class OfAlternator < OfLoads
          # @return [Float, nil]
          def share = ampere && rated && (ampere / rated)

          # @return [Boolean, nil]
          def enough? = ampere && (rated.nil? || share >= least_share)

          # @return [Float, nil]
          def usual_ampere = rated

          # @return [Float]
          def error_ratio = ampere&.positive? ? MeterError.ampere(ampere) / ampere : 0.0

          # @return [Limits::Limit]
          def least = @circumstances.limits.fetch('charging.flow_least')

          # @return [String]
          def words = 'its rating'

          # @return [String]
          def instead = 'Loads or pile on, clamp on the cable: at least a quarter of the rating'

          # @return [Boolean] what a lamp draws is nothing here
          def under_load? = false

          private

          def ampere = @reading.conditions.number('current_ampere')
          def rated = @circumstances.system.alternator_rating_ampere
        end
      end
    end
  end
end
