# frozen_string_literal: true

module Wattomneum
  module Batteries
    # What a battery loses while it stands by itself, and when it wants charging.
    #
    # Source: loss a month at 20 degC by type, twice as much for each 10 degC warmer; common practice, from memory.
    # Valid for: lead and acid, nothing connected.
    class SelfDischarge
      TABLE = Tables::DATA.fetch('self_discharge_percent_a_month')
      BY_TYPE = TABLE.fetch('by_type').freeze
      MONTH_DAYS = 30.44
      # Of a store that is neither heated nor frozen (ours).
      SHELF_CELSIUS = 10.0
      private_constant :TABLE, :BY_TYPE, :MONTH_DAYS

      # @param type [String] key of Battery::TYPES
      # @param celsius [Float] where it stands
      # @raise [InvalidQuantityError] if it is not lead and acid
      def initialize(type:, celsius: SHELF_CELSIUS)
        @a_month = BY_TYPE.fetch(type) do
          raise InvalidQuantityError.new("nobody knows what #{Battery::TYPES.fetch(type, type)} loses by itself", field: 'type')
        end
        @celsius = celsius
      end

      # @param type [String] key of Battery::TYPES
      # @return [Boolean] whether its loss is known
      def self.known?(type) = BY_TYPE.key?(type)

      # @return [Float] percent of its full charge that it loses a day
      # @example flooded at 20 degC   # => 0.197
      def percent_a_day
        @a_month / MONTH_DAYS * (2.0**((@celsius - TABLE.fetch('at_celsius')) / TABLE.fetch('doubles_each_celsius')))
      end

      # @param from_percent [Float] charge when it was known
      # @param days [Float] since, 0 or more
      # @return [Float] charge in percent, 0 at least
      # @example flooded at 20 degC, 100 % two months ago   # => 88
      def charge_percent(from_percent:, days:) = [from_percent - (percent_a_day * days), 0.0].max

      # @param from_percent [Float]
      # @param to_percent [Float]
      # @return [Float] days until it has fallen so far; 0 where it has
      # @example flooded at 20 degC from 100 to 75 %   # => 127
      def days_to(to_percent, from_percent:) = [(from_percent - to_percent) / percent_a_day, 0.0].max
    end
  end
end
