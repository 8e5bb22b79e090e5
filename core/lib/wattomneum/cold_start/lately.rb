# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # By how much the last weeks of a whole fleet went otherwise than was said: units that age, or are driven short, give up earlier all alike, and
    # nobody tells the forecast; where mornings differ less from each other than is thought, everything is surer than said. Both are bounded by what
    # they are thought to be beforehand, and all units of a yard in one night say no more than a few, since they share its weather.
    #
    # Formula: d, ln r where -(d/s_d)^2/2 - (ln r/s_r)^2/2 + sum w ln(.98 P + .01) is most; P of failing by Phi((T - low + d) / sqrt(r^2 v + .5^2)), T
    # and v as told by the unit alone, low as measured; w = e^(-days/14) min(1, 8 / units of that night within 6 degC of their threshold).
    # Source: recalibration of probabilities by an offset and a slope (Platt 1999, from memory), in degC; bounds and weights are ours, by simulation.
    class Lately
      # What mornings of a kind said. night: of one yard; over_celsius: threshold over the measured low; variance: degC squared, of the unit and the
      # morning; units: so many went like that
      Told = Struct.new(:night, :days_ago, :over_celsius, :variance, :failed, :units, keyword_init: true)
      # celsius: by which thresholds lie higher than told; spread_ratio: what their own spreads are multiplied by
      Learnt = Struct.new(:celsius, :spread_ratio, keyword_init: true)
      # @return [Learnt] of a fleet that told nothing
      def self.nothing = Learnt.new(celsius: 0.0, spread_ratio: 1.0)

      # What is older says nothing.
      DAYS = 60
      # Further from its threshold a unit starts or fails whatever lies a degree off.
      NEAR_CELSIUS = 6.0
      STEPS = [[1.0, 0.0], [-1.0, 0.0], [0.0, 1 / 3.0], [0.0, -1 / 3.0]].freeze
      FIRST_STEP = 0.4
      LEAST_STEP = 0.02
      FIGURES = %w[spread_celsius log_spread fades_days night_counts].to_h { |key| [key.to_sym, Table.figure('lately', key)] }.freeze
      MISTAKEN = Table.figure('threshold', 'mistaken')
      MEASURED_VARIANCE = Table.figure('night', 'measured_celsius')**2
      private_constant :STEPS, :FIRST_STEP, :LEAST_STEP, :FIGURES, :MISTAKEN, :MEASURED_VARIANCE

      # @param told [Enumerable<Told>]
      def initialize(told)
        @weighed = told.group_by(&:night).values.flat_map { |night| weighed(night) }
      end

      # @return [Learnt]
      def learnt
        celsius, log_ratio = climb([0.0, 0.0], FIRST_STEP)
        Learnt.new(celsius: celsius, spread_ratio: Math.exp(log_ratio))
      end

      private

      def weighed(night)
        near = night.sum { |told| told.over_celsius.abs < NEAR_CELSIUS ? told.units : 0 }
        share = Math.exp(-night.first.days_ago / FIGURES[:fades_days]) * [1.0, FIGURES[:night_counts] / [near, 1].max].min
        night.map { |told| [told, told.units * share] }
      end

      # To whichever neighbour is better, by smaller and smaller steps.
      def climb(at, step)
        best = score(at)
        while step >= LEAST_STEP
          found, other = STEPS.map { |move| at.zip(move).map { |value, by| value + (step * by) } }.map { |one| [score(one), one] }.max_by(&:first)
          if found > best + 1e-9
            best = found
            at = other
          else
            step /= 2
          end
        end
        at
      end

      def score((celsius, log_ratio))
        ratio = Math.exp(2 * log_ratio)
        before = -0.5 * (((celsius / FIGURES[:spread_celsius])**2) + ((log_ratio / FIGURES[:log_spread])**2))
        @weighed.sum(before) do |told, weight|
          fails = Numerics::Normal.below((told.over_celsius + celsius) / Math.sqrt((ratio * told.variance) + MEASURED_VARIANCE))
          weight * Math.log(((1 - MISTAKEN) * (told.failed ? fails : 1 - fails)) + (MISTAKEN / 2))
        end
      end
    end
  end
end
