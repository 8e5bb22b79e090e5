# frozen_string_literal: true

module Wattomneum
  module Evidence
    # Readings that belong to one moment and cannot all be true: none of them clears or convicts before they were read again. Of two cranks of one
    # engine the posts differ by so much at most (ours); what the meter may be off comes on top.
    #
    # Formula: posts = positive drop + starter + ground drop (Kirchhoff); two drops are never more than the posts; batteries joined in parallel
    # stand on one voltage, in series on no more than the sum of theirs: under it a link may be open, which is a fault and not a mistake.
    class Moment
      # What of one round cannot be: the readings, why in words, how they are read again, and those of a crank, who fits least first.
      Contradiction = Struct.new(:readings, :words, :again, :by_doubt, keyword_init: true)
      CRANK = %w[posts_cranking positive_drop ground_drop starter_terminal].freeze
      CRANKS_DIFFER_SHARE = 0.12
      # Of a bank at rest against its batteries, read before, each 12 V: what surface charge and a few cranks take (ours).
      SETTLES_VOLT = 0.8
      CRANK_AGAIN = 'Read them again in one crank: posts, both drops, stud to case'
      REST_AGAIN = 'Read the bank and each battery again, everything off'
      private_constant :CRANK, :CRANKS_DIFFER_SHARE, :SETTLES_VOLT, :CRANK_AGAIN, :REST_AGAIN

      # @param circumstances [Circumstances]
      def initialize(circumstances)
        @system = circumstances.system
        @rounds = circumstances.readings.select { |one| one.value && one.state == one.test.state }.group_by(&:round)
      end

      # @param judgement [Judgement]
      # @return [Judgement] the same, or one that proves nothing where its reading and others cannot all be true
      def held_against(judgement)
        found = contradictions.find { |one| one.readings.any? { |reading| reading.id == judgement.reading_id } }
        return judgement if found.nil?

        judgement.with(verdict: 'unproven', would_be: judgement.would_be || judgement.verdict, weight: 'none', validity: 'void', convicts: [],
                       clears: [], rules_in: [], rules_out: [], reasons: judgement.reasons + [found.words],
                       instead: found.again)
      end

      # @param round [Integer]
      # @return [Array<Readings::Reading>] those of a crank of that round that cannot all be true, who fits least first
      def doubtful(round) = contradictions.flat_map { |one| one.by_doubt.to_a }.select { |reading| reading.round == round }

      private

      def contradictions = @contradictions ||= @rounds.values.flat_map { |readings| [crank(readings), bank(readings)] }.compact

      def crank(readings)
        posts, *rest = CRANK.map { |key| last(readings, key) }
        drops = rest.first(2).compact
        return if posts.nil? || drops.size < 2 || apart?([posts, *rest])

        sum = rest.compact.sum { |one| one.value.abs }
        least, most = posts_beside([posts, *rest.compact])
        may_differ = off([posts, *rest.compact], most)
        return if sum <= most + may_differ && (rest.last.nil? || sum >= least - may_differ)

        words = "#{rest.compact.map(&:spoken).join(' + ')} cannot be: the posts stood at #{posts.spoken} in that moment"
        Contradiction.new(readings: with_earlier([posts, *rest.compact], readings), words: words, again: CRANK_AGAIN,
                          by_doubt: [*by_doubt(drops, too_much: sum > most), *rest.last, posts])
      end

      # Too much together: a point was slipped to the left in the largest. Too little: a lead did not touch in the smallest.
      def by_doubt(drops, too_much:) = drops.sort_by { |one| too_much ? -one.value.abs : one.value.abs }

      # As they were read by themselves, and as they were said beside each.
      def posts_beside(readings)
        readings.filter_map { |one| one.conditions.number('posts_now_volt') }.push(readings.first.value.abs).minmax
      end

      # Of a start that comes and goes some were read while it cranked, and some while it did not.
      def apart?(readings) = readings.compact.filter_map { |one| EngineSaid.beside(one) }.uniq.size > 1

      def off(readings, volt) = (CRANKS_DIFFER_SHARE * volt.abs) + readings.sum { |one| MeterError.volt(one.value) }

      def bank(readings)
        posts = last(readings, 'posts_rest')
        batteries = @system.positions.map { |position| last(readings, 'rest_voltage', position) }
        return if posts.nil? || batteries.empty? || batteries.any?(&:nil?) || batteries.any? { |one| one.taken_at > posts.taken_at }

        least, most = expected(batteries.map(&:value))
        may_differ = SETTLES_VOLT * @system.blocks_in_series
        return if posts.value.between?(least - may_differ, most + may_differ)

        Contradiction.new(readings: with_earlier([posts, *batteries], readings), words: impossible(posts, batteries), again: REST_AGAIN)
      end

      def impossible(posts, batteries)
        "A bank at #{posts.spoken} of batteries at #{batteries.map(&:spoken).join(' and ')} cannot be: one of them, or a link between them"
      end

      # What the posts of a bank can stand on: between the lowest and the highest of what stands side by side; at most one after the other added.
      def expected(volts) = @system.parallel? ? volts.minmax : [0.0, volts.sum]

      # What was read before of the same things counts no more than what it was read again for.
      def with_earlier(newest, readings)
        readings.select { |one| newest.any? { |other| [one.test_key, one.position] == [other.test_key, other.position] } }
      end

      def last(readings, key, position = nil) = readings.reverse.find { |one| one.test_key == key && one.position == position }
    end
  end
end
