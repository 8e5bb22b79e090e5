# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # The reading that tells most for its minutes: about which part it is, or, where one is suspected, straight across it, which proves.
      #
      # Formula: the larger of I(part; outcome) and fire^2 x 1 bit; fire: how likely the part's drop convicts.
      # Source: Lindley 1956 (m); the proof value is ours, from studies: information alone knows and never proves.
      class NextReading
        # Outcomes nearer than this on the scale are one; so many of the likeliest hypotheses are weighed, what is less likely than the next is
        # left out; a part from here is suspected.
        BIN = 0.12
        MOST_LIVE = 160
        LEAST_SHARE = 1e-4
        SUSPECTED = 0.15
        LEAST_BITS = 0.02
        private_constant :MOST_LIVE, :LEAST_SHARE, :SUSPECTED, :LEAST_BITS

        # @param belief [Belief]
        # @param predictions [Predictions]
        # @param candidates [Array<Candidate>] that were not taken yet
        # @param convicts [Proc] of volts straight across a part: whether that much convicts
        def initialize(belief, predictions, candidates, convicts:)
          @belief = belief
          @predictions = predictions
          @candidates = candidates
          @convicts = convicts
          @shares = belief.probabilities
          @by_unit = belief.by_unit
          @places = predictions.unit_places
          @places_of = predictions.units.each_with_index.to_h
          @live = likeliest
          @total = share(@live)
          @before = entropy(@live, @total)
        end

        # @return [Candidate, nil] nil where none tells anything
        def best
          worths = @candidates.to_h { |one| [one, worth(one)] }.select { |_, worth| worth > LEAST_BITS }
          Worth.best(worths.keys) { |one| [worths.fetch(one), one.minutes] }
        end

        # @param candidate [Candidate]
        # @return [Float] bits
        def worth(candidate)
          suspected = candidate.unit && @by_unit.fetch(candidate.unit, 0.0) >= SUSPECTED && @places_of.fetch(candidate.unit)
          bins = {}
          fire = 0.0
          @predictions.each(@live, candidate.from, candidate.to) do |index, mean, off, band|
            expected = @belief.expected_at(index, mean, band)
            (bins[bin(expected, @belief.spread_at(index, off, band))] ||= []) << index
            fire += @shares[index] if suspected == @places[index] && @convicts.call(Predictions.volts(expected))
          end
          [information(bins.values), fire**2].max
        end

        private

        def likeliest
          likely = @shares.each_index.select { |index| @shares[index] > LEAST_SHARE }
          likely.size > MOST_LIVE ? likely.max_by(MOST_LIVE) { |index| @shares[index] } : likely
        end

        def information(bins)
          @before - bins.sum { |indices| share(indices).then { |share| share / @total * entropy(indices, share) } }
        end

        # Coarser where it is less known.
        def bin(mean, spread) = [BIN, (spread / BIN).ceil * BIN].max.then { |width| (mean / width).round * width }
        def share(indices) = indices.sum { |index| @shares[index] }

        # Of parts, not of severities.
        def entropy(indices, total)
          return 0.0 if indices.size == 1

          sums = Hash.new(0.0)
          indices.each { |index| sums[@places[index]] += @shares[index] }
          Numerics::Entropy.of(sums.each_value.map { |sum| sum / total })
        end
      end
    end
  end
end
