# frozen_string_literal: true

module Wattomneum
  module Charging
    # What a start takes out and how long it takes to put back.
    module EnergyBudget
      # Charge returned over charge taken (common practice).
      RETURN_FACTOR = 1.15
      ALTERNATOR_MARGIN = 1.25

      # @param current_ampere [Float]
      # @param seconds [Float]
      # @return [Float] ampere-hours
      # @example 700 A for 5 s   # => 0.97
      def self.start_ampere_hour(current_ampere:, seconds:) = current_ampere * seconds / 3600.0

      # Formula: Ah x 1.15 x 60 / min(output - loads, what the battery accepts).
      #
      # @param ampere_hour [Float]
      # @param output_ampere [Float]
      # @param loads_ampere [Float]
      # @param acceptance_ampere [Float] what the battery takes
      # @return [Float, nil] minutes; nil when the loads take all there is
      def self.minutes_to_return(ampere_hour:, output_ampere:, loads_ampere:, acceptance_ampere:)
        spare = [output_ampere - loads_ampere, acceptance_ampere].min
        spare.positive? ? ampere_hour * RETURN_FACTOR * 60 / spare : nil
      end

      # @param loads [Array<Hash>] :ampere and :duty_ratio of each load
      # @return [Float] ampere, least alternator rating with 25 % in hand
      def self.least_rating_ampere(loads)
        loads.sum { |load| load.fetch(:ampere) * load.fetch(:duty_ratio) } * ALTERNATOR_MARGIN
      end
    end
  end
end
