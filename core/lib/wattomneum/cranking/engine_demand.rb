# frozen_string_literal: true

module Wattomneum
  # Starter, its feed and ground, and the engine it has to turn.
  module Cranking
    # How much more torque a cold engine takes.
    module EngineDemand
      # Source: handbook chart, from memory; linear between its points; no figure colder than -29 degC.
      #
      # @param temperature_celsius [Float]
      # @return [Float] cranking torque as a ratio of that at 27 degC
      # @raise [OutOfTableRangeError] colder than the chart
      # @example -18 degC   # => 2.1
      def self.ratio(temperature_celsius:)
        Batteries::Tables.line('engine_demand_percent').within([temperature_celsius, 27.0].min) / 100.0
      end
    end
  end
end
