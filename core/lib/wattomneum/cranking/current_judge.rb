# frozen_string_literal: true

module Wattomneum
  module Cranking
    # Cranking current against what this engine asks for at this temperature.
    class CurrentJudge < Evidence::Judge
      # The usual current is what the healthy engine takes at about this temperature.
      USUAL_AT_CELSIUS = 20.0
      # Warmer than this thick oil is no excuse (ours, from cases).
      OIL_FLOWS_CELSIUS = 5.0

      # @return [Judgement]
      def call
        share_line
        bank_resistance
        return too_high if over?('cranking.current_high') == :over
        return too_low if over?('cranking.current_low') == :under

        cold_drag? ? drags_in_the_cold : usual
      end

      private

      # Of the batteries, which stand in for the oil: what was said with the posts of this round.
      def celsius
        reading.conditions.number('engine_temperature_celsius') || companion('posts_cranking')&.conditions&.number('battery_temperature_celsius')
      end

      def demand_ratio
        return 1.0 if celsius.nil?

        line = Batteries::Tables.line('engine_demand_percent')
        line.clamped(celsius) / line.clamped(USUAL_AT_CELSIUS)
      end

      def demand_ampere = @demand_ampere ||= system.usual_cranking_current_ampere * demand_ratio
      def share = 100.0 * value / demand_ampere

      def over?(id) = side(value, demand_ampere * limit(id) / 100.0, Evidence::MeterError.ampere(value))

      def asked = celsius ? "what it asks for at #{Figure.celsius(celsius)}" : 'the usual current'

      def said = { share: Figure.percent(share), asked: asked }

      def share_line
        cold = celsius ? " x #{Figure.trim(demand_ratio, 2)} at #{Figure.celsius(celsius)}" : ''
        sum("#{Figure.ampere(value)} / usual #{Figure.ampere(system.usual_cranking_current_ampere)}#{cold} = #{Figure.percent(share)}")
      end

      def bank_resistance
        posts = companion('posts_cranking')
        rest_volt = posts && Flow.rest_volt(posts, circumstances)
        return @figures = {} if rest_volt.nil? || value <= 0

        ohm = Batteries::InternalResistance.measured(rest_volt: rest_volt, cranking_volt: posts.value,
                                                     current_ampere: value)
        sum("bank = (#{Figure.volt(rest_volt)} - #{Figure.volt(posts.value)}) / #{Figure.ampere(value)} = #{Figure.ohm(ohm)}")
        @figures = { bank_resistance_ohm: ohm }
      end

      def rows = Table.new(circumstances, round: reading.round).matches.map(&:reads_as).uniq
      def slow? = companion('cranking_behaviour')&.observation == 'slow'

      # Slow, cold, and it takes what a cold engine asks for or more: oil, engine or hydraulic lock, not the starter.
      def cold_drag? = slow? && celsius && celsius < OIL_FLOWS_CELSIUS && share >= 100

      def drags_in_the_cold
        finding('current.drags_in_the_cold', 'watch', said: said, weight: 'support', figures: @figures,
                  rules_in: [turned_free? ? STIFF_OR_BINDING : 'Drag in the cold: oil, engine or hydraulic lock'],
                  rules_out: ['Resistance in the path'], instead: 'Ask for the oil grade, and turn it by hand')
      end

      STIFF_OR_BINDING = 'Stiff oil, or a starter that binds. Crank it once warm: as slow then, the starter goes on the bench'
      private_constant :STIFF_OR_BINDING

      def turned_free? = circumstances.readings.reverse_each.find { |one| one.test_key == 'engine_by_hand' }&.observation == 'free'

      def usual
        finding('current.usual', 'sound', said: said, weight: 'support', figures: @figures,
                                                                       rules_out: ['Locked engine or shorted starter'])
      end

      # Far over the demand a starter is shorted or binding, once the engine is proved free: its ladder asks for that.
      def too_high
        convicts = over?('cranking.current_convicts') == :over && oil_flows? ? ['starter'] : []
        finding('current.too_high', 'act', said: said, weight: 'proof', figures: @figures,
                                                                                           rules_in: rows, convicts: convicts)
      end

      def oil_flows? = reading.conditions.said('oil_right') == :yes || (celsius && celsius > OIL_FLOWS_CELSIUS)

      def too_low
        finding('current.too_low', 'watch', said: said,
                  figures: @figures, rules_in: rows, rules_out: ['Locked engine or shorted starter'])
      end
    end
  end
end
