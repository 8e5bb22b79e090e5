# frozen_string_literal: true

module Wattomneum
  module Charging
    # Posts with the intake or glow heater on: whether it draws. In the warm many control units do not ask for it, so no dip convicts nothing.
    class HeaterJudge < Evidence::Judge
      # Colder than this every heater is asked for (common practice).
      ASKED_FOR_CELSIUS = 0.0
      private_constant :ASKED_FOR_CELSIUS

      # @return [Judgement]
      def call
        rest = circumstances.latest('posts_rest', round: reading.round)
        return void('heater.needs_rest', instead: 'Posts at rest, then once more with the heater on') if rest.nil?

        @dip = difference(rest.value, value)
        sum("#{rest.spoken} at rest - #{reading.spoken} = #{Figure.volt(@dip)}")
        said = { dip: Figure.volt(@dip) }
        return finding('heater.draws', 'sound', said: said, weight: 'support', figures: { heater_dip_volt: @dip }) if draws?

        idle = cold? ? 'act' : 'watch'
        finding('heater.idle', idle, said: said, weight: 'support', rules_in: ['Heater relay, its fuse link, its feed or the element'],
                                     instead: 'Its relay, its fuse link and the element under a clamp')
      end

      private

      def draws? = side(@dip, limit('heater.dip_least'), Evidence::MeterError.difference(value, value + @dip)) != :under
      def cold? = reading.conditions.number('engine_temperature_celsius')&.then { |celsius| celsius < ASKED_FOR_CELSIUS }
    end
  end
end
