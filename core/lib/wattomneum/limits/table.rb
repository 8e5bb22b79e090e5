# frozen_string_literal: true

module Wattomneum
  module Limits
    # All limits, looked up by id and system voltage. 12 V and 24 V are rows of their own; what follows from them on 6 V and 48 V is data too.
    class Table
      # @return [Limits::Table] the rows of core/data/limits.yml
      def self.shipped = SHIPPED

      # @param limits [Array<Limit>]
      def initialize(limits)
        @rows = limits.to_h { |limit| [[limit.id, limit.system_volt], limit] }.freeze
        freeze
      end

      # @param id [String]
      # @param system_volt [Integer]
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

      # @param rows [Array<Limit>]
      # @param rule [Hash{String => Object}] a row of core/data/limits_of_other_systems.yml
      # @return [Array<Limit>] of that system
      def self.following(rows, rule)
        of = rows.select { |limit| limit.system_volt == rule['from'] && limit.id.start_with?(*rule.fetch('only', [''])) }
        of.map do |limit|
          Limit.new(**limit.to_h, system_volt: rule['system_volt'], value: limit.value * rule['ratio'], source_kind: rule['source_kind'],
                                  source: "#{rule['source']}: #{limit.source}")
        end
      end
      private_class_method :following

      PRINTED = DataFile.load('limits').map { |row| Limit.new(**row.transform_keys(&:to_sym)) }.freeze
      SHIPPED = new(PRINTED + DataFile.load('limits_of_other_systems').flat_map { |rule| following(PRINTED, rule) })
      private_constant :PRINTED, :SHIPPED
    end
  end
end
