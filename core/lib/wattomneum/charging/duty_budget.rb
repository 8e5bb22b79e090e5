# frozen_string_literal: true

module Wattomneum
  module Charging
    # What a day of work takes out of the batteries and what the alternator puts back: many short trips or long idling show here.
    class DutyBudget
      # Of its rating when hot (common practice).
      HOT_SHARE = 0.8
      WORKING_DAYS = 250
      private_constant :HOT_SHARE, :WORKING_DAYS

      # @param rating_ampere [Float] of the alternator
      # @param idle_share [Float] of its rating that it gives at idle, 0 to 1; often 0.4 to 0.6
      # @param driving_hours [Float] a day, at speed
      # @param idling_hours [Float] a day
      # @param loads_ampere [Float] while the engine runs
      # @param starts [Integer] a day
      # @param start_ampere [Float]
      # @param start_second [Float] of each
      def initialize(rating_ampere:, idle_share:, driving_hours:, idling_hours:, loads_ampere:, starts:, start_ampere:, start_second:)
        @rating = rating_ampere
        @idle_share = idle_share
        @driving = driving_hours
        @idling = idling_hours
        @loads = loads_ampere
        @starts = starts * EnergyBudget.start_ampere_hour(current_ampere: start_ampere, seconds: start_second) * EnergyBudget::RETURN_FACTOR
        freeze
      end

      # Formula: (rating x 0.8 - loads) x hours driving + (rating x 0.8 x idle share - loads) x hours idling - 1.15 x starts x I t / 3600
      # Source: charge balance; 0.8 hot and 1.15 common practice.
      #
      # @return [Float] ampere-hours a day; under zero the batteries empty
      def balance_ampere_hour = driving_ampere_hour + idling_ampere_hour - @starts

      # @return [Float] ampere-hours that a day's hours at speed leave
      def driving_ampere_hour = ((@rating * HOT_SHARE) - @loads) * @driving

      # @return [Float] ampere-hours that its hours at idle leave; under zero they take
      def idling_ampere_hour = ((@rating * HOT_SHARE * @idle_share) - @loads) * @idling

      # @return [Float] ampere-hours that its starts take, with what is lost on the way back
      def starts_ampere_hour = @starts

      # @return [Float] of a year of working days
      def yearly_ampere_hour = balance_ampere_hour * WORKING_DAYS

      # @return [Float] ampere, least rating for these loads with 25 % in hand
      def least_rating_ampere = EnergyBudget.least_rating_ampere([{ ampere: @loads, duty_ratio: 1.0 }])
    end
  end
end
