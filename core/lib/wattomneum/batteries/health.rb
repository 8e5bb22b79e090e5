# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Health of a battery: measured over rated, both by one standard.
    module Health
      # @param measured_ampere [Float]
      # @param rated_ampere [Float] same standard, greater than 0 A
      # @return [Float] percent
      # @example 690 A measured, 850 A rated   # => 81.2
      def self.percent(measured_ampere:, rated_ampere:)
        raise InvalidQuantityError.new('rated_ampere must be over 0 A', field: 'rated_ampere') unless
          rated_ampere.positive?

        100.0 * measured_ampere / rated_ampere
      end

      # @param health_percent [Float]
      # @param limits [Limits::Table]
      # @return [Symbol] :sound, :serviceable, :plan_replacement or :replace
      def self.grade(health_percent, limits: Limits::Table.shipped)
        return :sound if health_percent >= limits.fetch('battery.health_sound').value
        return :serviceable if health_percent >= limits.fetch('battery.health_serviceable').value
        return :plan_replacement if health_percent >= limits.fetch('battery.health_least').value

        :replace
      end
    end
  end
end
