# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Electronic test of one battery against its label.
    class ConductanceJudge < Evidence::Judge
      VERDICTS = { sound: 'sound', serviceable: 'watch', plan_replacement: 'watch', replace: 'act' }.freeze
      private_constant :VERDICTS

      # @return [Judgement]
      def call
        return no_label if battery.nil?

        charge = circumstances.charge_percent(reading)
        return uncharged(charge) if charge.nil? || charge < limit('battery.charge_least')

        standard_decides? ? standard_unsaid : graded
      end

      private

      def battery = reading.battery

      def no_label
        void('tester.no_label', said: { position: reading.position },
             instead: 'Enter the battery with its label rating, then this reading counts')
      end

      def uncharged(charge)
        instead = charge ? 'Charge it and test again' : 'Take its rest voltage'
        void(charge ? 'tester.uncharged' : 'tester.charge_unknown', said: { charged: charge && Figure.percent(charge) }, instead: instead,
                                                                    figures: { measured_ampere: value })
      end

      # Testers come set to SAE: where nobody said what this one was set to, it may have been that or the label's.
      def standard_decides?
        return false if reading.conditions.word('tester_standard')

        [battery.rating.standard, USUAL_STANDARD].uniq.map { |standard| VERDICTS.fetch(grade(percent(standard))) }.uniq.size > 1
      end

      def standard_unsaid
        shares = [battery.rating.standard, USUAL_STANDARD].map { |standard| "#{Figure.percent(percent(standard))} set to #{standard}" }
        void('tester.standard_decides', said: { ampere: Figure.ampere(value), shares: shares.join(', ') },
                                        instead: 'Look up which standard the tester was set to, and say it', figures: { measured_ampere: value })
      end

      USUAL_STANDARD = 'SAE'
      private_constant :USUAL_STANDARD

      def percent(standard)
        Health.percent(measured_ampere: value * Rating::STANDARDS.fetch(standard) / Rating::STANDARDS.fetch(battery.rating.standard),
                       rated_ampere: battery.rating.ampere)
      end

      def grade(percent) = Health.grade(percent, limits: circumstances.limits)

      def graded
        percent = percent(set_standard)
        sum("#{Figure.ampere(value)} measured#{converted} / #{battery.rating} on the label = #{Figure.percent(percent)}")
        grade = grade(percent)
        %w[battery.health_sound battery.health_serviceable battery.health_least].each { |id| limit(id) }
        finding("tester.#{grade}", VERDICTS.fetch(grade), said: { share: Figure.percent(percent) }, weight: 'support', traps: tester_trap,
                                                                           validity: approximations.any? ? 'approximate' : 'valid',
                                                                           reasons: approximations,
                                                                           figures: { health_percent: percent },
                                                                           **consequence(grade))
      end

      NOT_SETTLED = 'Its charge is known approximately: so is this'
      private_constant :NOT_SETTLED

      def approximations
        notes = []
        notes << NOT_SETTLED if approximate_charge?
        notes << "Brought from #{set_standard} to #{battery.rating.standard} by a rule of thumb" if set_otherwise?
        notes
      end

      # The tester shows amperes by the standard it was set to.
      def set_standard = reading.conditions.word('tester_standard') || battery.rating.standard
      def set_otherwise? = set_standard != battery.rating.standard
      def to_label = Rating::STANDARDS.fetch(set_standard).to_f / Rating::STANDARDS.fetch(battery.rating.standard)
      def converted = set_otherwise? ? " by #{set_standard} x #{Figure.trim(to_label, 2)}" : ''

      # Between serviceable and done it may be the cause while it is cold, and may not.
      def consequence(grade)
        return { rules_in: ["Battery #{reading.position} worn out"], convicts: ['battery'] } if grade == :replace
        return {} if grade == :plan_replacement

        { rules_out: ["Battery #{reading.position} as the cause"] }
      end

      def tester_trap
        set = reading.conditions.number('tester_rating_ampere')
        return [] if set.nil? || set == battery.rating.ampere

        flattered = Health.percent(measured_ampere: value, rated_ampere: set)
        ["The tester was set to #{Figure.ampere(set)}, which would say #{Figure.percent(flattered)}. Judged by the label"]
      end
    end
  end
end
