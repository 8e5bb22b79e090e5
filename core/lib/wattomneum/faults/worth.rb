# frozen_string_literal: true

module Wattomneum
  module Faults
    # Which of several readings is worth its minutes most.
    #
    # Formula: the most of worth - 0.5 r minutes, r the best worth a minute of all. By r alone many small readings are taken that a larger one
    # makes idle: 5 % more minutes in simulation.
    # Source: ours.
    module Worth
      MINUTE_SHARE = 0.5
      private_constant :MINUTE_SHARE

      # @param options [Array<Object>]
      # @yieldparam option [Object]
      # @yieldreturn [Array(Float, Float)] its worth in bits, and its minutes
      # @return [Object, nil] nil where there is none
      def self.best(options)
        figures = options.to_h { |option| [option, yield(option)] }
        rate = figures.each_value.map { |worth, minutes| worth / minutes }.max or return
        figures.max_by { |_, (worth, minutes)| (worth - (MINUTE_SHARE * rate * minutes)).round(6) }.first
      end
    end
  end
end
