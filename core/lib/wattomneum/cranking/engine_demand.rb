# frozen_string_literal: true

module Wattomneum
  # Starter, its feed and ground, and the engine it has to turn.
  module Cranking
    # How much more torque a cold engine takes.
    module EngineDemand
      COLDEST_CELSIUS = Batteries::Tables::DATA.dig('engine_demand_percent', 'points').map(&:first).min

      # Source: handbook chart, from memory; linear between its points; no figure colder than -29 degC.
      #
      # @param temperature_celsius [Float]
      # @return [Float] cranking torque as a ratio of that at 27 degC
      # @raise [OutOfTableRangeError] colder than the chart
      # @example -18 degC   # => 2.1
      def self.ratio(temperature_celsius:)
        if temperature_celsius < COLDEST_CELSIUS
          raise OutOfTableRangeError, "an engine at #{Quantities::Figure.celsius(temperature_celsius)} is colder than the chart of its " \
                                      "demand goes, #{Quantities::Figure.celsius(COLDEST_CELSIUS)}: heat it first"
        end

        Batteries::Tables.line('engine_demand_percent').within([temperature_celsius, 27.0].min) / 100.0
      end
    end
  end
end
