# frozen_string_literal: true

module Wattomneum
  module Limits
    # All limits, looked up by id and system voltage. 12 V and 24 V are rows of their own; nothing is doubled in code.
    class Table
      # @return [Limits::Table] the rows of core/data/limits.yml
      def self.shipped = SHIPPED

      # @param limits [Array<Limit>]
      def initialize(limits)
        @rows = limits.to_h { |limit| [[limit.id, limit.system_volt], limit] }.freeze
        freeze
      end

      # @param id [String]
      # @param system_volt [Integer] 12 or 24
      # @return [Limit]
      # @raise [UnknownKeyError] if no row has this id for this system voltage
      def fetch(id, system_volt: 'any')
        @rows[[id, system_volt]] || @rows[[id, 'any']] ||
          raise(UnknownKeyError, "no limit #{id} for a #{system_volt} V system")
      end

      # @param row_id [String] as Limit#row_id gives it
      # @return [Limit]
      # @raise [UnknownKeyError] if there is no such row
      def row(row_id)
        @rows.each_value.find { |limit| limit.row_id == row_id } || raise(UnknownKeyError, "no limit #{row_id}")
      end

      # @return [Array<Limit>]
      def to_a = @rows.values

      # This table with what a fleet has set. Values that were taken once are not questioned again.
      #
      # @param values [Hash{String => Float}] by row id, each in the unit of its limit; rows no longer known are left out
      # @return [Table]
      def with(values)
        self.class.new(to_a.map { |limit| values.key?(limit.row_id) ? limit.as_set(values[limit.row_id]) : limit })
      end

      SHIPPED = new(DataFile.load('limits').map { |row| Limit.new(**row.transform_keys(&:to_sym)) })
      private_constant :SHIPPED
    end
  end
end
