# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # How likely each hypothesis is after what was read. It orders tests; nothing is proved by it.
      #
      # Formula: log weight + sum of log((1 - e) N(z; z_h + c m, c^2 p + s^2) + e q), z = asinh(V / 20 mV); s of meter and tolerance, c what half a
      # grade of severity moves, m and p where between its neighbours this severity lies, learnt reading by reading.
      # Source: Bayes; Kalman 1960 (m); e and q ours, from studies.
      class Belief
        # Readings that are something else than what was meant, and how such spread over the scale.
        MISTAKEN = 0.02
        SPREAD_OF_MISTAKEN = 1.0 / 14
        # Of the meter: 0.25 % and 2 mV, and a little of the scale itself.
        METER_RATIO = 0.0025
        METER_VOLT = 0.002
        SCALE_FLOOR = 0.004
        # What is seen to be dead, weak and working, by its share of the volts that it should have.
        # How often it is called what it is, what lies beside that, and the opposite: dead and weak are taken for each other, dead for working
        # is not (ours).
        SEEN = %w[dead weak works].freeze
        SAID_SO = [0.9, 0.1, 0.002].freeze
        # Standard deviation of what lies evenly between -1 and 1 is 1 / sqrt 3.
        EVEN_SPREAD = Math.sqrt(3.0)
        # No one reading is counted as further off than so, squared.
        MOST_SURPRISE = 25.0
        private_constant :EVEN_SPREAD, :MOST_SURPRISE, :MISTAKEN, :SPREAD_OF_MISTAKEN, :METER_RATIO, :METER_VOLT, :SCALE_FLOOR, :SEEN, :SAID_SO

        # @param predictions [Predictions]
        # @param times [Hash{String => Float}] of some parts, by key: what its weight is times
        def initialize(predictions, times: {})
          @predictions = predictions
          @logs = predictions.hypotheses.map { |one| Math.log(one.weight * times.fetch(one.unit&.key, 1.0)) }
          @between = Array.new(@logs.size, 0.0)
          @unsure = Array.new(@logs.size, 1.0)
        end

        # @param from [String] node
        # @param to [String] node
        # @param volt [Float] as shown
        # @param posts_volt [Float, nil] the posts at that moment: batteries of another charge than the table's move every volt with them, and
        #   each hypothesis has posts of its own, since it draws more or less than a sound circuit does
        # @param half_digit [Float] volts that were rounded away when it was typed
        # @return [self]
        def shown(from, to, volt, posts_volt: nil, half_digit: 0.0)
          read = @predictions.between(from, to)
          shown = Predictions.scaled(volt)
          meter = meter_off(volt, half_digit)
          forget
          @logs.each_index do |index|
            at_its_posts = posts_volt ? Predictions.scaled(volt * share_of_posts(index, posts_volt)) : shown
            weigh(index, at_its_posts - expected(read, index), read.bands[index], Math.hypot(read.offs[index], meter))
          end
          self
        end

        # @param index [Integer] of a hypothesis
        # @param posts_volt [Float] as read
        # @return [Float] its posts against those
        def share_of_posts(index, posts_volt)
          own = @predictions.posts[index]
          own.positive? && posts_volt.positive? ? own / posts_volt : 1.0
        end

        # @param read [Predictions::Read]
        # @param index [Integer] of a hypothesis
        # @return [Float] scaled volts, with what is known of its severity
        def expected(read, index) = expected_at(index, read.means[index], read.bands[index])

        # @param index [Integer] of a hypothesis
        # @param mean [Float] scaled volts as the table has it
        # @param band [Float] what half a grade of severity does
        # @return [Float] scaled volts, with what is known of its severity
        def expected_at(index, mean, band) = mean + (band * @between[index])

        # @param read [Predictions::Read]
        # @param index [Integer] of a hypothesis
        # @return [Float] how far it may be off them
        def spread(read, index) = spread_at(index, read.offs[index], read.bands[index])

        # @param index [Integer] of a hypothesis
        # @param off [Float] what tolerance does
        # @param band [Float] what half a grade of severity does
        # @return [Float] how far it may be off them
        def spread_at(index, off, band) = Math.sqrt((off * off) + (band * band * @unsure[index]))

        # @param consumer [Circuits::Consumer]
        # @param observation [String] works, weak or dead
        # @return [self]
        def seen(consumer, observation)
          forget
          @predictions.shares(consumer).each_with_index do |share, index|
            @logs[index] += Math.log(SAID_SO.fetch((SEEN.index(Circuits::Seen.word(share)) - SEEN.index(observation)).abs))
          end
          self
        end

        # @return [Array<Float>] of each hypothesis, together 1
        def probabilities
          @probabilities ||= begin
            most = @logs.max
            weights = @logs.map { |log| Math.exp(log - most) }
            total = weights.sum
            weights.map { |weight| weight / total }
          end
        end

        # @param from [String] node
        # @param to [String] node
        # @param volt [Float] as shown
        # @param posts_volt [Float, nil] the posts at that moment
        # @param unit [Circuits::RepairUnit, nil] whose likeliest hypothesis is meant; of all of them where none is said
        # @param half_digit [Float] volts that were rounded away when it was typed
        # @return [Float] how far it is off what the likeliest hypothesis shows, squared, in its own spreads, capped
        def surprise(from, to, volt, posts_volt: nil, unit: nil, half_digit: 0.0)
          meant = probabilities.each_index.select { |index| unit.nil? || @predictions.hypotheses[index].unit == unit }
          best = meant.max_by { |index| probabilities[index] }
          read = @predictions.of([best], from, to)
          off = Predictions.scaled(posts_volt ? volt * share_of_posts(best, posts_volt) : volt) - expected(read, best)
          [(off / Math.hypot(spread(read, best), meter_off(volt, half_digit)))**2, MOST_SURPRISE].min
        end

        # @return [Hash{Circuits::RepairUnit => Float}] of each part, the likeliest first; nil for nothing wrong
        def by_unit
          @by_unit ||= begin
            sums = Array.new(@predictions.units.size, 0.0)
            @predictions.unit_places.zip(probabilities) { |place, share| sums[place] += share }
            @predictions.units.zip(sums).sort_by { |_, share| -share }.to_h
          end
        end

        # @param volt [Float]
        # @param half_digit [Float] volts that were rounded away: as likely all over them
        # @return [Float] how far the meter may be off, on the scale
        def meter_off(volt, half_digit = 0.0)
          at = Math.sqrt((volt**2) + (Predictions::SCALE_VOLT**2))
          rounded = (Predictions.scaled(volt.abs + half_digit) - Predictions.scaled(volt.abs - half_digit)) / 2
          Math.hypot(Math.hypot(((METER_RATIO * volt.abs) + METER_VOLT) / at, SCALE_FLOOR), rounded / EVEN_SPREAD)
        end

        private

        # What was made of it before the next reading.
        def forget = @probabilities = @by_unit = nil

        # What is taken for a mistake teaches nothing of the severity.
        def weigh(index, off, band, noise)
          variance = (band * band * @unsure[index]) + (noise * noise)
          near = (1 - MISTAKEN) * Math.exp(-0.5 * off * off / variance) / Math.sqrt(2 * Math::PI * variance)
          far = MISTAKEN * SPREAD_OF_MISTAKEN
          @logs[index] += Math.log(near + far)
          return if near < far

          gain = @unsure[index] * band / variance
          @between[index] += gain * off
          @unsure[index] -= gain * band * @unsure[index]
        end
      end
    end
  end
end
