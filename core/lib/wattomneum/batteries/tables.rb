# frozen_string_literal: true

module Wattomneum
  # Lead-acid batteries as individuals and in banks.
  module Batteries
    # Printed tables of core/data/battery_tables.yml as lines to interpolate on.
    module Tables
      DATA = DataFile.load('battery_tables')
      LINES = DATA.select { |_, table| table.is_a?(Hash) && table.key?('points') }
                  .transform_values { |table| Numerics::PiecewiseLine.new(table['points']) }.freeze
      REST_VOLTAGE = DATA['rest_voltage'].transform_values do |table|
        Numerics::PiecewiseLine.new(table['points'])
      end.freeze

      REST_VOLT_BY_CHARGE = DATA['rest_voltage'].transform_values do |table|
        Numerics::PiecewiseLine.new(table['points'].map(&:reverse))
      end.freeze

      # @param name [String] key of a table with points
      # @return [Numerics::PiecewiseLine]
      def self.line(name) = LINES.fetch(name)

      # @param name [String]
      # @return [String] where the figures come from
      def self.source(name) = DATA.fetch(name).fetch('source')
    end
  end
end
