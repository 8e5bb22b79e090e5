# frozen_string_literal: true

require 'csv'

module Server
  module Presenters
    # The board as a table that any program opens: base units, days as ISO dates, nothing where nothing was read.
    module BoardCsv
      FACTS = { 'batteries_percent' => %i[batteries percent], 'batteries_percent_a_year' => %i[batteries yearly_percent],
                'batteries_tested_on' => %i[batteries on], 'batteries_not_tested' => %i[batteries untested],
                'charging_V_at_25_degC' => %i[charging volt],
                'charging_V_a_year' => %i[charging yearly_volt], 'charging_read_on' => %i[charging on],
                'feed_milliohm' => %i[path feed_milliohm], 'return_milliohm' => %i[path return_milliohm], 'start_path_read_on' => %i[path on],
                'starts_down_to_degC' => %i[cold celsius], 'give_or_take_degC' => %i[cold spread_celsius],
                'worst_ground_milliohm' => %i[grounds milliohm], 'grounds_due_on' => %i[grounds due_on], 'mended_in_12_months' => %i[faults count],
                'mended_again' => %i[faults again], 'open_jobs' => %i[open jobs], 'held' => %i[open held] }.freeze
      HEADERS = ['number', 'name', 'yard', *FACTS.keys].freeze

      # @param units [Array<Models::Unit>] with what is kept of them
      # @return [String]
      def self.call(units)
        limits = Queries::FleetRules.new.limits
        CSV.generate do |csv|
          csv << HEADERS
          units.each { |unit| csv << line(unit, Standing.call(unit.values, limits)).map { |cell| ReadingsCsv.harmless(cell) } }
        end
      end

      def self.line(unit, standing) = [unit.number, unit.name, unit.yard.name, *FACTS.each_value.map { |path| standing.dig(*path) }]
      private_class_method :line
    end
  end
end
