# frozen_string_literal: true

module Server
  module Presenters
    # The engine of a unit beside its loops: kill circuits, plugs, cap, sums kept on it.
    class Engine
      def self.call(engine) = new(engine).call

      # @param engine [Queries::Engine]
      def initialize(engine)
        @engine = engine
      end

      def call
        unit = @engine.unit
        { unit: unit.values.slice(:id, :number, :name), kill: @engine.kill_searches.map { |one| Kill.call(one, self) },
          plugs: @engine.plugs && Plugs.call(@engine.plugs, self), cap: cap, sums: @engine.sums.map { |row| kept(row) },
          words: self.class.words }
      end

      # @param row [Models::EngineEntry]
      # @param words [String]
      # @return [Hash] a line of the log
      def line(row, words)
        { id: row.id, kind: row.kind, words: words, person: @engine.names[row.person_id], at: row.at.iso8601 }
      end

      # @param ids [Array<String>]
      # @return [Array<Hash>]
      def self.cautions(ids) = Wattomneum::Safety::Cautions.fetch_all(ids).map(&:to_h)

      # What forms choose from.
      #
      # @return [Hash]
      def self.words
        ignition = Wattomneum::Ignition
        { states: ignition::Plugs::Look::ALL.values.map { |one| { key: one.key, label: one.label } },
          parts: ignition::Plugs::Entry::LABELS.map { |key, label| { key: key, label: label, cylinder: ignition::Plugs::Entry::PARTS.fetch(key) } },
          figures: ignition::Figures::KINDS.map { |one| { key: one.key, label: one.label, unit: one.unit, cylinder: one.cylinder || false, per_m: one.per_m || false } } }
      end

      private

      def cap = @engine.cap && Cap.call(@engine.cap).merge(line(@engine.cap, 'Cap'))

      # A sum that is refused by the limits of now says so.
      def kept(row)
        sheet = Wattomneum::Sums::Catalogue.fetch(row.plain[:sum])
        typed = row.plain[:typed].to_h
        found = Wattomneum::Sums::Calculator.call(sheet, typed, limits: @engine.limits)
        { **line(row, sheet.title), sum: sheet.key, typed: typed, answer: found.answer, lines: found.lines }
      rescue Wattomneum::InvalidQuantityError, Wattomneum::OutOfTableRangeError, Wattomneum::RefusedError => e
        { **line(row, sheet.title), sum: sheet.key, typed: typed, answer: e.message, lines: [] }
      end
    end
  end
end
