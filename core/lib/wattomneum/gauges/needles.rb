# frozen_string_literal: true

module Wattomneum
  module Gauges
    # Gauges of a dash that hang on one supply and one ground: what their needles do when either is off. Each gauge is a coil in series with its
    # sender, its needle goes by the current; the ground of gauge housings carries what the lamps of the dash draw beside it.
    class Needles
      # label; coil_ohm; sender_ohm as it is now; curve it is marked for; ground_ohm: too many at its sender's body or in its wire
      Gauge = Struct.new(:label, :coil_ohm, :sender_ohm, :curve, :ground_ohm, keyword_init: true)
      # label; ampere through it; true_mark; shown
      Shown = Struct.new(:label, :ampere, :true_mark, :shown, keyword_init: true)

      # @param supply_volt [Float] of the stabiliser, as the gauges are marked for (about 10 V mean, or 5 V; handbook, from memory)
      # @param gauges [Array<Gauge>]
      # @param actual_volt [Float] what comes out of it
      # @param shared_ground_ohm [Float] too many in the ground that all senders share: block to frame
      # @raise [InvalidQuantityError] for a coil of 0 ohm or no supply
      def initialize(supply_volt:, gauges:, actual_volt: supply_volt, shared_ground_ohm: 0.0)
        OverZero.check(supply_volt: supply_volt, **gauges.to_h { |gauge| [:"coil of #{gauge.label}", gauge.coil_ohm] })
        @supply_volt = supply_volt
        @actual_volt = actual_volt
        @gauges = gauges
        @shared_ground_ohm = shared_ground_ohm
      end

      # @return [Array<Shown>]
      def call
        lifted = ground_volt
        @gauges.map do |gauge|
          ampere = (@actual_volt - lifted) / path_ohm(gauge)
          Shown.new(label: gauge.label, ampere: ampere, true_mark: gauge.curve.mark(gauge.sender_ohm),
                    shown: gauge.curve.mark(seen_ohm(gauge, ampere)))
        end
      end

      private

      def path_ohm(gauge) = gauge.coil_ohm + gauge.sender_ohm + gauge.ground_ohm.to_f

      # Of the node where all senders meet, over the ground of the supply: one equation, its paths in parallel.
      def ground_volt
        return 0.0 if @shared_ground_ohm.zero?

        conductance = @gauges.sum { |gauge| 1 / path_ohm(gauge) }
        @actual_volt * conductance / (conductance + (1 / @shared_ground_ohm))
      end

      # What sender would make the same current at the volts the gauge is marked for.
      def seen_ohm(gauge, ampere) = ampere.positive? ? [(@supply_volt / ampere) - gauge.coil_ohm, 0.0].max : Float::MAX
    end
  end
end
