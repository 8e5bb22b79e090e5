# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # A drop along one path. It is judged at the current that the path carries in a sound circuit: a large one convicts at any current, a
      # small one clears only if its current flowed.
      #
      # Source: handbook chapters on drops and on judging; common practice.
      class DropJudge < Judge
        # Findings of a drop that is small, and has to be read at more current to be cleared.
        WANTS_CURRENT = %w[drop.small_no_flow drop.small_unknown].freeze

        # @param reading [Readings::PointReading]
        # @param circumstances [Circumstances]
        # @param drop [VoltsJudge::Drop]
        def initialize(reading, circumstances, drop)
          super(reading, circumstances)
          @drop = drop
          @units = units_of(drop.path)
          @limit = PathLimit.new(drop.path, machine.repair_units.along(drop.path.steps.map(&:index)), circumstances, drop.side, reading)
          @flow = @limit.flow
        end

        # @return [Judgement]
        def call
          @allowed = @limit.call
          @allowed.rows.each { |row| remember(row) }
          sum(@allowed.words) if @allowed.words
          return unproved_zero if zero_of_unproved_meter?

          scaled_line
          @flow.arithmetic.each { |line| sum(line) }
          return unless_more_flowed || over if judged > @allowed.volt + error
          return at_limit if judged > @allowed.volt - error

          small
        end

        private

        def share = @flow.share
        def enough_flow? = @flow.enough? == true

        # It is the milliohms that are judged: brought to the usual current, up and down, where it is known.
        def scaled? = enough_flow? && !share.nil?
        def least_share = @flow.least.value / 100.0
        def ratio = @limit.start? || @limit.alternator? ? 1.0 / share : 1.0 / share.clamp(least_share, 1.0 / least_share)
        def judged = @judged ||= scaled? ? @drop.volt * ratio : @drop.volt

        def error
          @error ||= scaled? ? (@drop.error * [1.0, ratio].max) + (judged.abs * @flow.error_ratio) : @drop.error
        end

        def scaled_line
          return if !scaled? || (judged - @drop.volt).abs < 0.0005

          sum("at #{@flow.words}, #{Figure.ampere(@flow.usual_ampere)}: #{Figure.volt(judged)}")
        end

        # Nobody knows how much flowed: does it fail however much may have?
        def unless_more_flowed
          most = @flow.most_share
          return if most.nil? || most <= 1.0

          least = @drop.volt / most
          sum("at most #{Figure.ampere(most * @flow.usual_ampere)} flowed, which leaves #{Figure.volt(least)} at #{@flow.words}")
          return if least > @allowed.volt + error

          finding('drop.over_unless', 'watch', said: said_of(@drop.volt), figures: figures, rules_in: pointing.fetch(:rules_in),
                                               instead: 'Clamp the cable and read both at once')
        end

        def said_of(volt) = { volt: Figure.volt(volt), path: path_words, limit: Figure.volt(@allowed.volt) }

        def path_words = "#{short(@drop.path.steps.first.from)} to #{short(@drop.path.steps.last.to)}"

        def figures
          flowed = share || (enough_flow? ? 1.0 : 0.0)
          { drop_volt: @drop.volt, limit_volt: @allowed.volt, sound_drop_volt: @limit.sound_drop_volt, flow_share: share,
            excess_volt: @drop.volt - (@limit.sound_drop_volt * flowed), resistance_ohm: resistance_ohm }.compact
        end

        def resistance_ohm
          ampere = share && @flow.usual_ampere && (share * @flow.usual_ampere)
          @drop.volt / ampere if ampere&.positive?
        end

        # The right load, but only one side of the start loop: the other may hold it back as well.
        def weight
          return 'support' if @drop.shown_at || @flow.under_load?

          @limit.start_side? && !circumstances.loops.other_side_read?(reading) ? 'support' : 'proof'
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

        def over
          dead = @drop.shown_at && @drop.side == :feed && value < limit('evidence.open_share') / 100.0 * machine.sheet.system_volt
          code = dead ? 'drop.dead' : 'drop.over'
          said = said_of(judged).merge(point: @drop.shown_at && short(@drop.shown_at))
          finding(code, 'act', said: dead ? said.merge(volt: reading.spoken) : said, weight: weight, figures: figures, traps: open_joint, **pointing)
        end

        def open_joint = @flow.enough? == false ? ['An open joint drops everything at no current: a large drop always convicts'] : []

        def pointing = @drop.shown_at ? { rules_in: lying_between } : pointing_at(@units)

        # Two readings against the posts place a loss; what is convicted was read straight across.
        def lying_between = ["Between #{path_words}: #{@units.size == 1 ? @units.first.label : "#{@units.size} things that can be at fault"}"]

        def at_limit
          return coarse if reading.half_digit > MeterError.volt(value)

          sum("the meter may be off by #{Figure.volt(error)}")
          finding('drop.at_limit', 'watch', said: said_of(judged), figures: figures, instead: 'Read it again, probing straight across the two points')
        end

        # Not what the meter may be off leaves it open, but the digits that were left out: nothing but they can close it.
        def coarse
          said = said_of(judged).merge(typed: Figure.volt(2 * reading.half_digit))
          finding('drop.coarse', 'watch', said: said, figures: figures, instead: 'Set the meter to millivolts and type every digit it shows')
        end

        def small
          return cleared if enough_flow?

          unknown = @flow.enough?.nil?
          remember(@flow.least)
          finding(unknown ? 'drop.small_unknown' : 'drop.small_no_flow', 'unproven', said: said_of(@drop.volt), weight: 'none', would_be: 'sound',
                                                                                     validity: unknown ? 'unstated' : 'void', figures: figures,
                                                                                     instead: @flow.instead,
                                                                                     traps: ['A small drop with little current clears nothing'])
        end

        def cleared
          code = share ? 'drop.sound' : { true => 'drop.sound_lamp', false => 'drop.sound_turning' }.fetch(@flow.under_load?)
          said = said_of(judged).merge(flow: share && Figure.percent(100 * share.clamp(0, 2)))
          finding(code, 'sound', said: said, weight: weight, figures: figures, **clearing(@units))
        end
      end
    end
  end
end
