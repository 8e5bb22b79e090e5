# frozen_string_literal: true

module Wattomneum
  module Batteries
    # What a parked unit draws once it sleeps: against what may stay awake on it, where somebody said, else against what is usual; and how long
    # its batteries stand that.
    class AsleepJudge < Evidence::Judge
      # Charge of a unit that ran today, and at which few start.
      FULL_PERCENT = ColdStart::Inputs.usual_charge * 100.0
      NO_START_PERCENT = ColdStart::Table.figure('charge', 'flat_ratio') * 100.0
      private_constant :FULL_PERCENT, :NO_START_PERCENT

      # @return [Evidence::Judgement]
      def call
        days = stands
        figures = { asleep_ampere: value, days_to_half: days }
        rest = { said: { draw: Figure.ampere(value), days: days_words(days) }, figures: figures }
        return by_its_own(rest) if allowed

        usual(rest)
      end

      private

      def allowed = reading.conditions.number('asleep_allowed_milliampere')&.fdiv(1000)
      def error = Evidence::MeterError.small_ampere(value)

      def by_its_own(rest)
        sum("#{Figure.ampere(value)} of #{Figure.ampere(allowed)} that may stay awake")
        return finding('asleep.allowed', 'sound', **rest) if side(value, allowed, error) != :over

        finding('asleep.more_than_allowed', 'act', instead: FUSE_BY_FUSE, rules_in: [STAYS_AWAKE], **rest)
      end

      def usual(rest)
        return finding('asleep.little', 'sound', **rest) if side(value, limit('battery.draw_car_like'), error) != :over
        return finding('asleep.truck', 'watch', instead: SAY_WHAT_STAYS, **rest) if side(value, limit('battery.draw_truck'), error) != :over

        finding('asleep.much', 'act', instead: FUSE_BY_FUSE, rules_in: [STAYS_AWAKE], **rest)
      end

      # Days until half charge; nil where no table of lead and acid holds.
      def stands
        return unless system.lead_acid? && system.battery? && value.positive?

        capacity = system.capacity_ampere_hour(usual_ampere_hour: ColdStart::Table.figure('labels', 'capacity_ampere_hour'))
        days = ParasiticDraw.days_to_no_start(charge_percent: FULL_PERCENT, no_start_percent: NO_START_PERCENT,
                                              capacity_ampere_hour: capacity, draw_ampere: value)
        sum("(#{Figure.trim(FULL_PERCENT, 0)} - #{Figure.trim(NO_START_PERCENT, 0)}) % x #{Figure.trim(capacity, 0)} Ah x 0.8 / " \
            "(#{Figure.ampere(value)} x 24 h) = #{Figure.trim(days, 1)} days")
        days
      end

      def days_words(days)
        return '' if days.nil?

        whole = days.floor
        whole < 1 ? ': half flat within a day' : ": half flat after #{whole} day#{'s' if whole > 1}"
      end

      STAYS_AWAKE = 'Something draws while it stands; millivolts over each fuse, asleep, find its branch'
      FUSE_BY_FUSE = 'Read millivolts over each fuse while it sleeps; Sums turns them into milliamperes. That finds the branch without waking it'
      SAY_WHAT_STAYS = 'Add up what may stay awake on this unit, and say it with the reading'
      private_constant :STAYS_AWAKE, :FUSE_BY_FUSE, :SAY_WHAT_STAYS
    end
  end
end
