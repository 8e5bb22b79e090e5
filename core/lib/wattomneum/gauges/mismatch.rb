# frozen_string_literal: true

module Wattomneum
  module Gauges
    # A sender on a gauge that was made for another: what the needle shows at each true value, and whether a resistor helps.
    class Mismatch
      # true_mark; ohm: of the sender there; shown: mark of the gauge; error: shown less true
      Mark = Struct.new(:true_mark, :ohm, :shown, :error, keyword_init: true)
      # kind: series or parallel; ohm; worst: the largest error left
      Resistor = Struct.new(:kind, :ohm, :worst, keyword_init: true)

      # @param sender [Curve]
      # @param gauge [Curve] against the same quantity
      # @param steps [Integer] parts of the scale
      # @raise [InvalidQuantityError] where their scales have nothing in common
      def initialize(sender, gauge, steps: 8)
        @sender = sender
        @gauge = gauge
        low = [sender.scale.begin, gauge.scale.begin].max
        high = [sender.scale.end, gauge.scale.end].min
        raise InvalidQuantityError.new('Sender and gauge have no part of their scales in common', field: 'gauge') unless low < high

        @at = (0..steps).map { |step| low + ((high - low) * step / steps.to_f) }
      end

      # @return [Array<Mark>] along the scale
      def marks = @marks ||= marks_with { |ohm| ohm }

      # @return [Mark] where it is furthest off
      def worst = marks.max_by { |mark| mark.error.abs }

      # @return [Float] the scale that both have
      def span = @at.last - @at.first

      # The best single resistor of its kind, found by trying (ours); nil where none makes the worst error a third smaller.
      #
      # @return [Resistor, nil]
      def resistor
        best = (tried('series') { |ohm, own| ohm + own } + tried('parallel') { |ohm, own| parallel(ohm, own) }).min_by(&:worst)
        best if best.worst < worst.error.abs * WORTH_IT
      end

      WORTH_IT = 2 / 3.0
      # From under an ohm to many times any sender, in steps of 5 %.
      TRIED_OHM = (0..165).map { |step| 0.5 * (1.05**step) }.freeze
      private_constant :WORTH_IT, :TRIED_OHM

      private

      def marks_with
        @at.map do |mark|
          ohm = @sender.ohm(mark)
          shown = @gauge.mark(yield(ohm))
          Mark.new(true_mark: mark, ohm: ohm, shown: shown, error: shown - mark)
        end
      end

      def tried(kind)
        TRIED_OHM.map { |own| Resistor.new(kind: kind, ohm: own, worst: marks_with { |ohm| yield(ohm, own) }.map { |mark| mark.error.abs }.max) }
      end

      def parallel(one, other) = one * other / (one + other)
    end
  end
end
