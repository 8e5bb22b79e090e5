# frozen_string_literal: true

module Server
  module Presenters
    # What is due by kind of work, each with the units that waited longest.
    module DueWork
      # @param kinds [Array<Queries::DueWork::Kind>]
      def self.call(kinds)
        { kinds: kinds.map { |kind| shown(kind) } }
      end

      def self.shown(kind)
        round = kind.key == 'grounds' ? 'grounds' : "rounds/#{kind.key}"
        { key: kind.key, label: kind.label, months: kind.months.fetch('dry'), salt_months: kind.months.fetch('salt'),
          count: kind.due, never: kind.never, units: kind.units.map { |row| unit(row, kind, round) } }
      end

      def self.unit(row, kind, round)
        last = row[:last_on]
        { unit_id: row[:id], unit: "#{row[:number]} #{row[:name]}", yard: row[:yard], last_on: last.iso8601,
          due_on: Wattomneum::Readings::Due.on(last, kind.months.fetch(row[:exposure])).iso8601, path: "/units/#{row[:id]}/#{round}" }
      end
      private_class_method :shown, :unit
    end
  end
end
