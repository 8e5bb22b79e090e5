# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # What the mornings of a whole fleet say of the forecasts made from readings: all of them some degrees too dark or too bright, and surer or
    # less sure than they claim. Only what readings alone let expect is moved; each unit's own mornings are told to it anew.
    #
    # Formula: maximise over beta ~ N(0, 4^2), ln kappa ~ N(0, .4^2): sum ln[Phi((Ts - T00 - beta) / s) - Phi((Tf - T00 - beta) / s)],
    # s^2 = kappa^2 v0 + 2.2^2 / 2. Averaging the units' own corrections instead diverges: they are shrunk each by another share.
    class FleetShift
      # celsius, variance: by readings alone; coldest_start, warmest_failure: air at dawn, nil where there was none
      Seen = Struct.new(:celsius, :variance, :coldest_start, :warmest_failure, keyword_init: true)
      # beta: degC to be added; kappa: spreads are to be multiplied by it
      Shift = Struct.new(:celsius, :ratio, keyword_init: true) do
        # @return [Shift] that moves nothing
        def self.none = new(celsius: 0.0, ratio: 1.0)

        # @param prior [Evening::Stored] by readings alone
        # @return [Evening::Stored] the same as the fleet's mornings have it
        def on(prior) = prior.dup.tap { |one| one.celsius += celsius }.tap { |one| one.variance *= ratio**2 }
      end

      BETAS = (-24..24).map { |step| step * 0.5 }.freeze
      KAPPAS = (-6..6).map { |step| Math.exp(step * 0.15) }.freeze
      # Of a unit whose coldest start lies under its warmest failure.
      LEAST_SHARE = 1e-3
      MORNING_VARIANCE = (Table.figure('night', 'morning_celsius')**2) / 2
      private_constant :BETAS, :KAPPAS, :LEAST_SHARE, :MORNING_VARIANCE

      # @param units [Array<Seen>]
      def initialize(units)
        @units = units.select { |unit| unit.coldest_start || unit.warmest_failure }
      end

      # @return [Shift]
      def best
        @best ||= @units.empty? ? Shift.none : along(KAPPAS, along(BETAS, Shift.none, :celsius), :ratio).then { |one| refined(one) }
      end

      private

      # One of the two after the other, until neither moves.
      def refined(shift)
        loop do
          better = along(KAPPAS, along(BETAS, shift, :celsius), :ratio)
          return shift if better == shift

          shift = better
        end
      end

      def along(grid, shift, part)
        grid.map { |value| Shift.new(**shift.to_h, part => value) }.max_by { |one| score(one) }
      end

      def score(shift)
        prior = -0.5 * (((shift.celsius / Table.figure('fleet_shift', 'celsius_spread'))**2) +
                        ((Math.log(shift.ratio) / Table.figure('fleet_shift', 'ratio_log_spread'))**2))
        @units.sum(prior) { |unit| Math.log([share(unit, shift), LEAST_SHARE].max) }
      end

      def share(unit, shift)
        spread = Math.sqrt(((shift.ratio**2) * unit.variance) + MORNING_VARIANCE)
        started, failed = [unit.coldest_start, unit.warmest_failure].map { |air| air && ((air - unit.celsius - shift.celsius) / spread) }
        (started ? Numerics::Normal.below(started) : 1.0) - (failed ? Numerics::Normal.below(failed) : 0.0)
      end
    end
  end
end
