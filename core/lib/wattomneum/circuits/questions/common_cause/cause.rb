# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      class CommonCause
        # One explanation of what was said: outcomes that no list tells apart which names no key states.
        class Cause
          # Items that together hold this much of it are named, and kinds that hold at least the second (ours).
          NAMED_SHARE = 0.975
          SPOKEN_SHARE = 0.1
          private_constant :SPOKEN_SHARE

          # @return [Float]
          attr_reader :probability

          # @param shares [Array<Array(Outcome, Float)>] one at least
          # @param total [Float] of all outcomes
          def initialize(shares, total:)
            @shares = shares
            @sum = shares.sum(&:last)
            @probability = @sum / total
            @likeliest = shares.max_by(&:last).first
          end

          # @return [Float] prior, relative to others
          def weight = @shares.sum { |outcome, _| outcome.weight }

          # @return [Array<Symbol>] how each watch looks with it
          def overall = @likeliest.overall

          # @param said [Said]
          # @return [Symbol]
          def look_at(said) = @likeliest.look_at(said)

          # @return [Array<Circuit::Item>] the likeliest first
          def items
            @items ||= begin
              left = NAMED_SHARE
              held(&:item).sort_by { |_, share| -share }.take_while { |_, share| left.positive?.tap { left -= share } }.map(&:first)
            end
          end

          # @return [Array<String>] what would be wrong with them: kinds of core/data/fault_kinds.yml, the likeliest first
          def kinds = held(&:kind).sort_by { |_, share| -share }.select { |_, share| share >= SPOKEN_SHARE }.map(&:first)

          private

          # How much of it each has.
          def held
            @shares.each_with_object(Hash.new(0.0)) do |(outcome, share), sums|
              a_weight = share / @sum / outcome.weight
              outcome.ways.each { |way| sums[yield(way)] += way.weight * a_weight }
            end
          end
        end
      end
    end
  end
end
