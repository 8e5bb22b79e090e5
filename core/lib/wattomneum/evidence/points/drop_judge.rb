# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # A drop along one path. It is judged at the current that the path carries in a sound circuit: a large one convicts at any current, a
      # small one clears only if its current flowed.
      #
      # Source: handbook chapters on drops and on judging; common practice.
      class DropJudge < Judge
        # @param reading [Readings::PointReading]
        # @param circumstances [Circumstances]
        # @param drop [VoltsJudge::Drop]
        def initialize(reading, circumstances, drop)
          super(reading, circumstances)
          @drop = drop
          @units = units_of(drop.path)
          @limit = PathLimit.new(drop.path, machine.repair_units.along(drop.path.steps.map(&:index)), circumstances, drop.side)
        end

        # @return [Judgement]
        def call
          @allowed = @limit.call
          @allowed.rows.each { |row| remember(row) }
          sum(@allowed.words) if @allowed.words
          return unproved_zero if zero_of_unproved_meter?

          judged = enough_flow? ? @drop.volt / @share.clamp(least_share, 1.0 / least_share) : @drop.volt
          scaled_line(judged)
          return over(judged) if judged > @allowed.volt + error
          return at_limit(judged) if judged > @allowed.volt - error

          small(judged)
        end

        private

        def error = @error ||= @drop.error * (enough_flow? ? [1.0, 1.0 / @share].max : 1.0)
        def least_share = limit('path.flow_least') / 100.0

        # The starter's current is known by clamp, sag and what the engine did; any other by what hangs on the path.
        def share
          return @share if defined?(@share)

          @share = @limit.start? ? start_share : circumstances.flow_share(reading, @units, @limit.sound_ampere)
        end

        def start_share
          flow = Cranking::Flow.new(reading, circumstances.tests)
          found = flow.estimate
          return found.ampere / flow.usual_ampere if found&.exact

          by_load = circumstances.flow_share(reading, @units, @limit.sound_ampere)
          return by_load * @limit.sound_ampere / flow.usual_ampere if by_load
          return if found.nil?

          flow.adequate? ? 1.0 : 0.0
        end

        def enough_flow? = !share.nil? && share >= least_share

        def scaled_line(judged)
          return if @share.nil? || (judged - @drop.volt).abs < 0.0005

          ampere = @limit.start? ? circumstances.system.usual_cranking_current_ampere : @limit.sound_ampere
          sum("at #{@limit.start? ? 'the usual current' : 'the current of a sound circuit'}, #{Figure.ampere(ampere)}: #{Figure.volt(judged)}")
        end

        def path_words = "#{short(@drop.path.steps.first.from)} to #{short(@drop.path.steps.last.to)}"

        def figures
          { drop_volt: @drop.volt, limit_volt: @allowed.volt, sound_drop_volt: @limit.sound_drop_volt, flow_share: @share }.compact
        end

        # A zero by which a feed would be dead is worth what the meter is: posts read beside it prove it.
        def zero_of_unproved_meter?
          proved = reading.conditions.said('meter_proved') == :yes || circumstances.posts_volt(reading).to_f > ZERO_VOLT
          !@drop.shown_at.nil? && value.abs < ZERO_VOLT && !proved
        end

        def unproved_zero
          said = { volt: reading.spoken, point: short(@drop.shown_at), path: path_words }
          finding('drop.dead', 'unproven', said: said, validity: 'unstated', weight: 'none', would_be: 'act',
                                           instead: Conditions::DEFINITIONS.fetch('meter_proved')['instead'])
        end

        def over(judged)
          said = { volt: Figure.volt(judged), path: path_words, limit: Figure.volt(@allowed.volt) }
          dead = @drop.shown_at && @drop.side == :feed && value < limit('evidence.open_share') / 100.0 * machine.sheet.system_volt
          code = dead ? 'drop.dead' : 'drop.over'
          finding(code, 'act', said: said.merge(point: @drop.shown_at && short(@drop.shown_at), volt: dead ? reading.spoken : said[:volt]),
                               weight: @drop.shown_at ? 'support' : 'proof', figures: figures, **pointing)
        end

        def pointing = @drop.shown_at ? { rules_in: lying_between } : pointing_at(@units)

        # Two readings against the posts place a loss; what is convicted was read straight across.
        def lying_between = ["Between #{path_words}: #{@units.size == 1 ? @units.first.label : "#{@units.size} things that can be at fault"}"]

        def at_limit(judged)
          sum("the meter may be off by #{Figure.volt(error)}")
          said = { volt: Figure.volt(judged), path: path_words, limit: Figure.volt(@allowed.volt) }
          finding('drop.at_limit', 'watch', said: said, figures: figures, instead: 'Read it again, probing straight across the two points')
        end

        def small(judged)
          return cleared(judged) if enough_flow?

          code = share.nil? ? 'drop.small_unknown' : 'drop.small_no_flow'
          said = { volt: Figure.volt(@drop.volt), path: path_words }
          finding(code, 'unproven', said: said, validity: share.nil? ? 'unstated' : 'void', weight: 'none', would_be: 'sound', figures: figures,
                                    traps: ['A small drop with little current clears nothing'],
                                    instead: 'Read the volts across what hangs on it in the same state, or say the current')
        end

        def cleared(judged)
          said = { volt: Figure.volt(judged), path: path_words, flow: Figure.percent(100 * @share.clamp(0, 2)) }
          finding('drop.sound', 'sound', said: said, weight: @drop.shown_at ? 'support' : 'proof', figures: figures,
                                         **clearing(@units))
        end
      end
    end
  end
end
