# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # What the mornings of a whole fleet say of its units before any of them is asked: at what temperature they give up on the average and how far
    # they lie apart, and what readings have been worth here. A reading moves a unit from the fleet's mean by as much as readings have been right
    # about such differences, not by what they say of the absolute figure: where they say all too dark, that falls out.
    #
    # Formula: mu = m + delta + b (r - s - delta), b = tau^2 / (tau^2 + kappa^2 v), variance tau^2 (1 - b) + doubt^2; r and v a unit's reading, s the
    # mean of readings. m, s, ln tau, ln kappa are where sum ln N(r; s, tau^2 + kappa^2 v) + ln sum_T N(T; mu, tau^2 (1 - b)) L(T) plus their own
    # priors is most; doubt is the spread of m by the curvature there.
    # Source: empirical Bayes for normal means with known errors (Efron and Morris 1975, from memory), with each unit's likelihood on a grid.
    class FleetPrior
      # celsius, variance: by the reading, nil where there is none; logs: of Evidence; unit_class may be nil
      Seen = Struct.new(:celsius, :variance, :logs, :unit_class, keyword_init: true)
      # celsius: mean of the thresholds; doubt: its own spread; spread: of the units; reading_celsius: mean of the readings; ratio: what their
      # spreads are multiplied by; classes: degC by which a class lies over the rest; lately: what the last weeks add
      Learnt = Struct.new(:celsius, :doubt, :spread, :reading_celsius, :ratio, :classes, :lately, keyword_init: true) do
        def initialize(lately: Lately.nothing, **) = super

        # @param read [History::Read, nil]
        # @param unit_class [String, nil]
        # @return [Array(Float, Float)] degC and its variance, of a unit whose mornings nobody told
        def expect(read, unit_class)
          over = classes.fetch(unit_class.to_s, 0.0)
          return [celsius + over, (spread**2) + (doubt**2)] if read.nil?

          worth = (spread**2) / ((spread**2) + ((ratio**2) * read.variance))
          [celsius + over + (worth * (read.celsius - reading_celsius - over)), ((spread**2) * (1 - worth)) + (doubt**2)]
        end
      end

      # What is looked for, and how far to step at first.
      STEPS = { celsius: 2.0, reading_celsius: 2.0, log_spread: 0.3, log_ratio: 0.3 }.freeze
      # Steps are halved so often.
      HALVINGS = 4
      # More units say no more than these, taken evenly.
      MOST_UNITS = 400
      # Of a reading that is far out.
      FURTHEST_SPREADS = 3.0
      CLASS_LEAST_UNITS = 5
      CLASS_OFFSETS = (-6..6).map(&:to_f).freeze
      LEAST_SHARE = 1e-12
      GRID = Evidence::GRID
      private_constant :STEPS, :HALVINGS, :MOST_UNITS, :FURTHEST_SPREADS, :CLASS_LEAST_UNITS, :CLASS_OFFSETS, :LEAST_SHARE, :GRID

      # @param key [String]
      # @return [Float]
      def self.figure(key) = Table.figure('fleet', key)

      # @return [Learnt] of a fleet of which nothing is known
      def self.unknown = new([]).learnt

      # @param units [Array<Seen>]
      def initialize(units)
        units = Array.new(MOST_UNITS) { |index| units[index * units.size / MOST_UNITS] } if units.size > MOST_UNITS
        @units = units.map { |unit| [unit, shares(unit.logs)] }
      end

      # @return [Learnt]
      def learnt
        best = climb(beginning)
        Learnt.new(celsius: best[:celsius], doubt: doubt(best), spread: Math.exp(best[:log_spread]), reading_celsius: best[:reading_celsius],
                   ratio: Math.exp(best[:log_ratio]), classes: classes(best))
      end

      private

      def figure(key) = self.class.figure(key)
      def shares(logs) = (logs.map { |log| Math.exp(log) } if logs&.any?(&:nonzero?))

      def beginning
        read = @units.filter_map { |unit, _| unit.celsius }
        mean = read.empty? ? figure('celsius') : read.sum / read.size
        { celsius: (mean + figure('celsius')) / 2, reading_celsius: mean, log_spread: Math.log(figure('spread_celsius')), log_ratio: 0.0 }
      end

      # One after the other by smaller and smaller steps, as long as it gets better.
      def climb(at)
        best = score(at)
        (0..HALVINGS).each do |halvings|
          loop do
            nearby = STEPS.flat_map { |key, first| [first, -first].map { |step| at.merge(key => at[key] + (step / (2**halvings))) } }
            found, other = nearby.map { |one| [score(one), one] }.max_by(&:first)
            break unless found > best + 1e-6

            best = found
            at = other
          end
        end
        at
      end

      # What each is thought to be before anything is known.
      def prior(at)
        -0.5 * [(at[:celsius] - figure('celsius')) / figure('celsius_spread'),
                (at[:reading_celsius] - at[:celsius]) / figure('reading_off_celsius'),
                (at[:log_spread] - Math.log(figure('spread_celsius'))) / figure('log_spread'),
                at[:log_ratio] / figure('log_spread')].sum { |off| off**2 }
      end

      def score(at)
        between = Math.exp(2 * at[:log_spread])
        ratio = Math.exp(2 * at[:log_ratio])
        @units.sum(prior(at)) do |unit, shares|
          next told(shares, at[:celsius], between) if unit.celsius.nil?

          noise = ratio * unit.variance
          off = unit.celsius - at[:reading_celsius]
          worth = between / (between + noise)
          read(off, between + noise) + told(shares, at[:celsius] + (worth * off), between * (1 - worth))
        end
      end

      def read(off, variance) = -0.5 * (Math.log(variance) + [(off**2) / variance, FURTHEST_SPREADS**2].min)

      def told(shares, mean, variance)
        return 0.0 if shares.nil?

        sharp = -0.5 / variance
        sum = weights = 0.0
        GRID.each_with_index do |celsius, index|
          weight = Math.exp(sharp * ((celsius - mean)**2))
          weights += weight
          sum += weight * shares[index]
        end
        Math.log(weights.positive? ? [sum / weights, LEAST_SHARE].max : LEAST_SHARE)
      end

      # By how sharply the mean is told from its neighbours; the nights of a yard were as cold for all its units, so that many of them make it no
      # surer than the least.
      def doubt(at)
        bend = (2 * score(at)) - [1.0, -1.0].sum { |step| score(at.merge(celsius: at[:celsius] + step)) }
        [1 / Math.sqrt([bend, 1 / (figure('celsius_spread')**2)].max), figure('least_doubt_celsius')].max
      end

      def classes(best)
        @units.select(&:last).group_by { |unit, _| unit.unit_class.to_s }.except('')
              .select { |_, units| units.size >= CLASS_LEAST_UNITS }.transform_values { |units| offset(units, best) }
      end

      def offset(units, best)
        between = Math.exp(2 * best[:log_spread])
        ratio = Math.exp(2 * best[:log_ratio])
        CLASS_OFFSETS.max_by do |off|
          units.sum(-0.5 * ((off / figure('class_spread'))**2)) do |unit, shares|
            worth = unit.celsius ? between / (between + (ratio * unit.variance)) : 0.0
            told(shares, best[:celsius] + off + (worth * (unit.celsius.to_f - best[:reading_celsius] - off)), between * (1 - worth))
          end
        end
      end
    end
  end
end
