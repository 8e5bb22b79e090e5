# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # Volts between two points: of the posts, across a consumer, along a path, or of a feed against the posts in the same state.
      class VoltsJudge < Judge
        # The way a drop was found: path, its volts, what the meter may be off, and the side it lies on.
        Drop = Struct.new(:path, :volt, :error, :side, :shown_at, keyword_init: true)

        # @return [Judgement]
        def call
          return PostsJudge.new(reading, circumstances).call if circumstances.posts?(probe)

          test = Readings::Catalogue.along(probe, machine.sheet)
          return FeedJudge.new(reading, circumstances, test).call if test&.limit
          return over_its_share if takes_over?

          consumer = circumstances.uses.consumers.across(probe.from, probe.to)
          return ConsumerJudge.new(reading, circumstances, consumer).call if consumer && called?(consumer)
          return StrayJudge.new(reading, circumstances, consumer).call if consumer && uncalled?(consumer)

          drop = probe.opened.empty? && (along || feed || ground_from_post)
          return by_prediction unless drop
          return needs_posts(drop) if drop.volt.nil?

          DropJudge.new(reading, circumstances, drop).call
        end

        private

        def called?(consumer) = circumstances.volt_between(consumer.from, consumer.to, probe).abs > 1.0 && probe.opened.empty?

        def uncalled?(consumer) = machine.consumers.uncalled?(consumer, circumstances.state(probe))
        def finder = circumstances.paths(probe)

        # One thing that is not just a conductor lies between the points, and takes more volts than it does in a sound circuit: a sender, a
        # lamp, a winding in a row with others.
        def takes_over?
          return false if probe.opened.any?

          path = finder.between(probe.from, probe.to)
          @alone = machine.repair_units.along(path.steps.map(&:index))
          sound = circumstances.volt_between(probe.from, probe.to, probe).abs
          @share = value.abs / scaled(sound) if scaled(sound) > LEAST_APART_VOLT
          path.complete && !path.plain? && @alone.size == 1 && !@share.nil? && @share > 100.0 / limit('path.load_volts_least')
        end

        def over_its_share
          unit = @alone.first
          said = { volt: reading.spoken, load: unit.label, share: Figure.percent(100 * @share) }
          finding('series.over', 'act', said: said, weight: 'proof', rules_in: [unit.label], convicts: unit.laddered ? [] : [unit.key])
        end

        # Straight along one path: however the leads were held.
        def along
          path = finder.between(probe.from, probe.to)
          return unless path.plain? && path.steps.any?

          Drop.new(path: path, volt: value.abs, error: MeterError.volt(value, half_digit: reading.half_digit), side: side_of(path))
        end

        # The side is that of the post it hangs on: what a feed path carries comes from the positive post.
        def side_of(path)
          return :return if [path.steps.first.from, path.steps.last.to].include?(circumstances.negative_post)

          finder.to_ground(path.steps.first.from).plain? ? :return : :feed
        end

        # A point of the feed, read against the negative post.
        def feed
          return unless at_negative?(probe.to)

          path = finder.to_battery(probe.from)
          against_posts(path, :feed) if path.plain? && path.steps.any?
        end

        # A point of the return, read against the positive post.
        def ground_from_post
          return unless probe.from == circumstances.positive_post

          path = finder.to_ground(probe.to)
          against_posts(path, :return) if path.plain? && path.steps.any?
        end

        def at_negative?(node) = node == circumstances.negative_post || node == machine.sheet.reference

        def against_posts(path, side)
          posts = circumstances.posts_volt(reading)
          lost = posts && (posts - value).round(6)
          sum("posts #{Figure.volt(posts)} - #{reading.spoken} = #{Figure.volt(lost)}") if posts
          error = posts && MeterError.difference(posts, value, half_digits: [reading.half_digit])
          Drop.new(path: path, volt: lost && [lost, 0.0].max, error: error, side: side, shown_at: probe.from)
        end

        def needs_posts(drop)
          said = { volt: reading.spoken, point: short(drop.shown_at) }
          finding('drop.needs_posts', 'unproven', said: said, validity: 'unstated', weight: 'none',
                                                  instead: 'Read the posts in the same state, or say them beside it')
        end

        # Read against a node whose volts the sheet knows, but over no path that a limit holds for.
        def by_prediction
          shown = circumstances.sound(probe)
          within = [limit('path.hint_within') / 100.0 * shown.value.abs, MeterError.volt(shown.value), LEAST_APART_VOLT].max
          hint(Figure.volt(shown.value), (value - scaled(shown.value)).abs <= within)
        end

        LEAST_APART_VOLT = 0.3
        private_constant :LEAST_APART_VOLT

        # Posts of another charge than the sheet's batteries move everything with them.
        def scaled(volt)
          posts = circumstances.posts_volt(reading)
          sound = circumstances.positive_post && circumstances.sound_posts_volt(reading)
          posts && sound&.positive? ? volt * posts / sound : volt
        end
      end
    end
  end
end
