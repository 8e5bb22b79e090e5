# frozen_string_literal: true

module Server
  module Presenters
    # A unit in a list.
    module UnitLine
      def self.call(unit)
        { id: unit.id, number: unit.number, name: unit.name, kind: unit.kind, yard: unit.yard.name, time_zone: unit.yard.time_zone,
          system: system_words(unit),
          open_jobs: unit.values.fetch(:open_jobs, 0), held: unit.values.fetch(:held, false), retired: !unit.retired_at.nil?,
          lock_version: unit.lock_version }
      end

      # @return [String] "12 V, 2 in parallel"
      def self.system_words(unit)
        [bank(unit), GROUNDINGS[unit.grounding], *('DC/DC converter' if unit.regulator == 'dc_dc'), *('equaliser' if unit.has_equaliser)]
          .compact.join(', ')
      end

      GROUNDINGS = { 'positive' => 'positive ground', 'insulated' => 'insulated return' }.freeze
      private_constant :GROUNDINGS

      def self.bank(unit)
        case unit.arrangement
        when 'none' then 'no battery'
        when 'single' then "#{unit.system_volt} V #{unit.system_volt == 48 ? 'pack' : 'single'}"
        when 'parallel' then "#{unit.system_volt} V, #{unit.battery_count} in parallel"
        else "#{unit.system_volt} V series pair"
        end
      end
      private_class_method :bank
    end
  end
end
