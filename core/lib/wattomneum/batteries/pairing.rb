# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Which batteries may work together: of one type and rating, near each other in health, rest volts and age.
    class Pairing
      # health_percent, rest_volt, made_on: nil where nobody knows
      Candidate = Struct.new(:id, :tag, :type, :rating, :health_percent, :rest_volt, :made_on, keyword_init: true)
      # A month of age weighs as much as this many percent of health (ours).
      PERCENT_A_MONTH = 0.25
      MONTH_DAYS = 30.44
      # Labels of one size differ a little by standard and maker (ours).
      MOST_RATING_APART = 0.1
      MOST = 6
      # ids of both, the stronger first; words: how they lie to each other
      Pair = Struct.new(:ids, :words, keyword_init: true)
      private_constant :PERCENT_A_MONTH, :MONTH_DAYS, :MOST_RATING_APART, :MOST

      # @param candidates [Array<Candidate>]
      # @param limits [Limits::Table]
      def initialize(candidates, limits: Limits::Table.shipped)
        @candidates = candidates
        @limits = limits
      end

      # @param most [Integer] so many are enough
      # @return [Array<Pair>] which go together, the best first; whoever was never tested goes with nobody
      def pairs(most: MOST)
        comparable.sort_by { |both| apart(*both) }.lazy.select { |both| objections(*both).empty? }.first(most).map { |both| pair(*both) }
      end

      # @return [Array<Candidate>] who has to be tested before it can be paired
      def untested = @candidates - tested

      # @param one [Candidate]
      # @param other [Candidate]
      # @return [Array<String>] why they do not go together; empty when they do
      def objections(one, other)
        [Batteries::Pair.mixed_types([one.type, other.type]), *unlike_ratings(one, other),
         *Batteries::Pair.mismatches(health_percents: known(:health_percent, one, other), rest_volts: known(:rest_volt, one, other), limits: @limits)]
          .compact
      end

      private

      # Of one kind and near enough in health to be worth a look: a large shelf has few of them.
      def comparable
        most = @limits.fetch('battery.pair_health_apart').value
        tested.group_by { |one| Batteries::Pair.kind(one.type) }.values.flat_map do |alike|
          sorted = alike.sort_by { |one| -one.health_percent }
          sorted.each_with_index.flat_map do |one, index|
            sorted.drop(index + 1).take_while { |other| one.health_percent - other.health_percent <= most }.map { |other| [one, other] }
          end
        end
      end

      def tested = @tested ||= @candidates.select(&:health_percent)

      # In percent of health, a month of age counted with it: smaller is better.
      def apart(one, other)
        (one.health_percent - other.health_percent).abs + (PERCENT_A_MONTH * (months_apart(one, other) || 0))
      end

      def pair(one, other)
        months = months_apart(one, other)&.round
        age = months && ", made #{months.zero? ? 'in the same month' : "#{months} months apart"}"
        Pair.new(ids: [one.id, other.id], words: "#{one.health_percent.round} and #{other.health_percent.round} % of their labels#{age}")
      end

      def known(name, *both) = both.filter_map(&name)

      def unlike_ratings(one, other)
        low, high = [one, other].map { |candidate| candidate.rating.sae_ampere }.minmax
        return if high - low <= MOST_RATING_APART * high

        ["#{Quantities::Figure.ampere(low)} and #{Quantities::Figure.ampere(high)} by SAE: one would work for both"]
      end

      def months_apart(one, other)
        one.made_on && other.made_on && ((one.made_on - other.made_on).abs / MONTH_DAYS)
      end
    end
  end
end
