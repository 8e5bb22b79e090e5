# frozen_string_literal: true

module Wattomneum
  # What a dash shows of an engine, and what it is told by.
  module Gauges
    # What counts an engine's turns, in pulses a turn of the crank; and what a gauge makes of it that was made for another source.
    module Tachometer
      # @param pole_pairs [Integer] of the alternator, usually 6 to 8 (handbook, from memory)
      # @param crank_pulley [Float] diameter or circumference, in whatever both are measured
      # @param alternator_pulley [Float]
      # @param slip_percent [Float] of the belt, usually 1 to 3
      # @return [Float] pulses of the W terminal a turn of the crank: pole pairs x ratio x (1 - slip)
      # @raise [InvalidQuantityError] where something that turns has no size
      def self.w_terminal(pole_pairs:, crank_pulley:, alternator_pulley:, slip_percent: 0.0)
        OverZero.check(pole_pairs: pole_pairs, crank_pulley: crank_pulley, alternator_pulley: alternator_pulley)
        pole_pairs * crank_pulley.fdiv(alternator_pulley) * (1 - (slip_percent / 100.0))
      end

      # @param cylinders [Integer]
      # @param strokes [Integer] 4 or 2
      # @return [Float] sparks a turn: cylinders x 2 / strokes
      # @raise [InvalidQuantityError]
      def self.ignition(cylinders:, strokes: 4)
        OverZero.check(cylinders: cylinders, strokes: strokes)
        cylinders * 2.0 / strokes
      end

      # @param teeth [Integer] of the flywheel, or of another wheel
      # @param turns [Float] of that wheel a turn of the crank: 1 for the flywheel, 0.5 for cam and injection pump
      # @return [Float]
      # @raise [InvalidQuantityError]
      def self.teeth(teeth:, turns: 1.0)
        OverZero.check(teeth: teeth, turns: turns)
        teeth * turns
      end

      # @param pulses_a_turn [Float]
      # @param rpm [Float]
      # @return [Float] hertz: pulses x rpm / 60
      def self.hertz(pulses_a_turn, rpm) = pulses_a_turn * rpm / 60.0

      # @param source_pulses [Float] pulses a turn that come
      # @param gauge_pulses [Float] pulses a turn that the gauge is set for
      # @return [Float] what it shows over what is true: source_pulses / gauge_pulses
      # @raise [InvalidQuantityError]
      def self.shows_ratio(source_pulses:, gauge_pulses:)
        OverZero.check(source_pulses: source_pulses, gauge_pulses: gauge_pulses)
        source_pulses.fdiv(gauge_pulses)
      end
    end
  end
end
