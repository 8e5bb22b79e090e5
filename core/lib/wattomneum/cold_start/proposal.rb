# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # What to do with the minutes that are left before night: for each unit one thing or none, so that as little as possible stands in the morning.
    class Proposal
      # What can be done for one unit. options: Option of each thing
      Offer = Struct.new(:unit_id, :options, keyword_init: true)
      # gain: what its chance of no start falls by, times what it matters
      Option = Struct.new(:key, :minutes, :gain, keyword_init: true)
      # One thing of one unit.
      Choice = Struct.new(:unit_id, :key, :minutes, :gain, keyword_init: true)
      # Nobody works longer before a night (ours).
      MOST_MINUTES = 720
      # What wins less is not worth the walk (ours).
      LEAST_GAIN = 0.01

      # @param offers [Array<Offer>]
      # @param minutes [Integer] that are left
      # @raise [InvalidQuantityError] for minutes that are none, or more than an evening has
      def initialize(offers, minutes:)
        unless minutes.between?(1, MOST_MINUTES)
          raise InvalidQuantityError.new("minutes left are 1 to #{MOST_MINUTES}, got #{minutes}", field: 'minutes')
        end

        @offers = offers
        @minutes = minutes
      end

      # Several things done to one unit count as the best of them, so that more than one is never proposed.
      #
      # Formula: most sum of gains with sum of minutes within what is left, one option a unit at most.
      # Source: dynamic programming over minutes, as for a knapsack of groups (Kellerer, Pferschy and Pisinger 2004, from memory).
      #
      # @return [Array<Choice>] what wins most first
      def choices
        nothing = Array.new(@minutes + 1, [0.0, nil])
        best = @offers.reduce(nothing) { |before, offer| with(offer, before) }
        chain(best.last.last).sort_by { |choice| [-choice.gain, choice.unit_id] }
      end

      private

      # For each number of minutes: the most that can be won, and what was chosen last before it.
      def with(offer, before)
        worth = offer.options.select { |option| option.gain >= LEAST_GAIN && option.minutes <= @minutes }
        before.each_with_index.map do |without, minutes|
          worth.select { |option| option.minutes <= minutes }.map { |option| taken(offer, option, before[minutes - option.minutes]) }
               .push(without).max_by(&:first)
        end
      end

      def taken(offer, option, before)
        [before.first + option.gain, [Choice.new(unit_id: offer.unit_id, **option.to_h), before.last]]
      end

      def chain(link)
        found = []
        while link
          found << link.first
          link = link.last
        end
        found
      end
    end
  end
end
