# frozen_string_literal: true

module Server
  module Presenters
    # A circuit as a loop: the points on it that have a name, with the last reading over each stretch between two of them.
    class Loop
      CATALOGUE = Wattomneum::Readings::Catalogue
      LABELS = { 'start' => 'Start loop', 'charge' => 'Charge loop' }.freeze
      CRANKING = 'cranking'
      # Of several readings inside one stretch the one that says most is drawn.
      WORST_FIRST = %w[act watch sound unproven].freeze
      private_constant :LABELS, :CRANKING, :WORST_FIRST

      # @param path [Wattomneum::Circuits::LoopPath]
      # @param taken [Array<Hash>] what counts, oldest first: from and to (nodes) or test_key, state, id, spoken, verdict, taken_at
      # @param live_positive [Boolean] whether the post that feeds it is the positive one
      def initialize(path, taken, live_positive:)
        @path = path
        @live_positive = live_positive
        # What both loops share carries the starter's current while cranking, and the alternator's else. The drop of a whole side is written beside
        # it, once, though no named point divides it.
        @between = taken.select do |one|
          one[:from] && (one[:state] == CRANKING) == (path.key == 'start') && wholes.none? do |test|
            test.key == one[:test_key]
          end
        end
        @tests = taken.select { |one| one[:test_key] }.to_h { |one| [one[:test_key], one] }
      end

      def call
        { key: @path.key, label: LABELS.fetch(@path.key, @path.key), load: @path.load, live_positive: @live_positive,
          feed: side(@path.feed), return: side(@path.return),
          signals: points.map { |test| span(test) }, wholes: wholes.map { |test| span(test) } }
      end

      private

      def side(stops)
        stops.each_with_index.map do |stop, index|
          { place: stop.role, label: label(stop.role), stretch: index == stops.size - 1 ? nil : stretch(stop, stops[index + 1]) }
        end
      end

      def label(role) = Wattomneum::Circuits::Roles.fetch(role).label

      def stretch(stop, following)
        inside = @between.select { |one| [one[:from], one[:to]].all? { |node| stop.nodes.include?(node) } }
        whole = inside.reverse.find { |one| [one[:from], one[:to]].sort == [stop.node, following.node].sort }
        { label: "#{label(stop.role)} to #{label(following.role)}", reading: brief(whole || inside.reverse.min_by do |one|
          WORST_FIRST.index(one[:verdict]) || 9
        end) }
      end

      def wholes = @path.key == 'start' ? CATALOGUE::START_SIDES.reverse.map { |key| CATALOGUE.fetch(key) } : []
      def points = CATALOGUE::ALL.select { |test| test.loop == @path.key && !test.observation? && !CATALOGUE::START_SIDES.include?(test.key) }
      def span(test) = { test_key: test.key, label: test.short, reading: brief(@tests[test.key]) }
      def brief(one) = one&.slice(:id, :spoken, :taken_at, :verdict)
    end
  end
end
