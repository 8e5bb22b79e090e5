# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # Ways to stop an engine: each way of asking with its last trial, what every single fault does, feeds that are borrowed, what a lead said.
      class Stops
        # @param stops [Queries::Stops]
        def self.call(stops) = new(stops).call

        # @param stops [Queries::Stops]
        def initialize(stops)
          @stops = stops
        end

        # @return [Hash]
        def call = { stops: @stops.tables.map { |device, table| one(device, table) } }

        private

        def one(device, table)
          { device: device, label: table.stop.label, runs: table.stop.runs, asked: table.asked.map { |asked| way(device, asked, table) },
            rows: table.rows.map { |row| line(row, table) }, findings: @stops.findings(device), answer: answer(device),
            borrowed: table.borrowed.map { |feed| { fuse: feed.fuse, others: feed.others } } }
        end

        def way(device, asked, table)
          trial = @stops.trials[[device, asked.key]]
          { key: asked.key, label: asked.label, stops: table.sound.stops.fetch(asked.key),
            trial: trial && tried(trial) }
        end

        def tried(row)
          judged = Wattomneum::Stopping::Trial.new(row.outcome, row.seconds, limits: @stops.limits)
          { outcome: row.outcome, seconds: row.seconds, verdict: judged.verdict, words: judged.words, person: @stops.names[row.person_id],
            at: row.at.iso8601 }
        end

        # fails: ways of asking that no longer stop it.
        def line(row, table)
          fails = table.asked.map(&:key).reject { |key| row.stops.fetch(key) || !row.running }
          { label: row.label, how: row.how, running: row.running, fails: fails, nothing_stops: row.nothing_stops? }
        end

        def answer(device)
          row = @stops.answer(device)
          row && { words: row.words, person: @stops.names[row.person_id], at: row.at.iso8601 }
        end
      end
    end
  end
end
