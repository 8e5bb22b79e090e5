# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # What the mornings of a whole fleet say of the forecasts made from readings: all of them some degrees too dark or too bright, and surer or
    # less sure than they claim. Only what readings alone let expect is moved; what each unit's own mornings taught stays.
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

      # The same unit under a shift.
      #
      # @param stored [Evening::Stored] with what its mornings taught
      # @param prior [Evening::Stored] by readings alone
      # @return [Evening::Stored]
      def moved(stored, prior) = self.class.moved(stored, prior, from: Shift.none, to: best)

      # @param stored [Evening::Stored] as it is under one shift
      # @param prior [Evening::Stored] by readings alone, under none
      # @param from [Shift] that it was under
      # @param to [Shift]
      # @return [Evening::Stored]
      def self.moved(stored, prior, from:, to:)
        old_mean, old_variance = shifted(prior, from)
        new_mean, new_variance = shifted(prior, to)
        taught = (1.0 / stored.variance) - (1.0 / old_variance)
        return stored.dup.tap { |one| one.celsius += new_mean - old_mean } unless taught.positive?

        by_mornings = (stored.celsius / stored.variance) - (old_mean / old_variance)
        variance = 1.0 / ((1.0 / new_variance) + taught)
        stored.dup.tap do |one|
          one.variance = variance
          one.celsius = variance * ((new_mean / new_variance) + by_mornings)
        end
      end

      # Mean and variance of what readings let expect, under a shift.
      def self.shifted(prior, shift) = [prior.celsius + shift.celsius, prior.variance * (shift.ratio**2)]
      private_class_method :shifted

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
