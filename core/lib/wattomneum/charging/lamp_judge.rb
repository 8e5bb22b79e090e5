# frozen_string_literal: true

module Wattomneum
  module Charging
    # The charge lamp: on many alternators it is also the excitation.
    class LampJudge < Evidence::Judge
      MEANINGS = {
        'charge_lamp_key_on.lit' => ['sound', [], ['Lamp circuit open']],
        'charge_lamp_key_on.dark' => ['act', [], ['Alternator condemned before this is mended']],
        'charge_lamp_key_on.lit_key_off' => ['act', ['alternator'], []],
        'charge_lamp_apart.dark' => ['sound', [], ['Excitation wire rubbed through']],
        'charge_lamp_apart.lit' => ['act', [], ['The alternator, for as long as its lamp finds ground elsewhere']],
        'charge_lamp_running.dark' => ['sound', [], []],
        'charge_lamp_running.lit' => ['act', [], []],
        'charge_lamp_running.dim' => ['act', [], []]
      }.freeze
      private_constant :MEANINGS

      # @return [Judgement]
      def call
        return finding('charge_lamp.none', 'sound', weight: 'hint') if reading.observation == 'no_lamp'

        code = "#{reading.test_key}.#{reading.observation}"
        verdict, convicts, rules_out = MEANINGS.fetch(code)
        finding(code, verdict, weight: reading.test_key == 'charge_lamp_apart' ? 'support' : 'hint', convicts: convicts,
                               rules_in: rubbed? ? ['Lamp or excitation wire rubbed through to ground'] : [], rules_out: rules_out, traps: lost_lamp)
      end

      private

      def rubbed? = reading.test_key == 'charge_lamp_apart' && reading.observation == 'lit'

      def lost_lamp
        key_on = companion('charge_lamp_key_on')
        return [] unless reading.test_key == 'charge_lamp_running' && key_on&.observation == 'dark'

        ['It was dark with the key on too: the lamp itself may be lost']
      end
    end
  end
end
