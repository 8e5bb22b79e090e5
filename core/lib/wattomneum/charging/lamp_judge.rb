# frozen_string_literal: true

module Wattomneum
  module Charging
    # The charge lamp: on many alternators it is also the excitation.
    class LampJudge < Evidence::Judge
      MEANINGS = {
        %w[charge_lamp_key_on lit] => ['sound', 'Lit: lamp and excitation wire are whole', [], ['Lamp circuit open']],
        %w[charge_lamp_key_on dark] => ['act', 'Dark with the key on: lamp, fuse or excitation wire open',
                                        [], ['Alternator condemned before this is mended']],
        %w[charge_lamp_key_on lit_key_off] => ['act', 'Lit with the key off: shorted diode', ['alternator'], []],
        %w[charge_lamp_running dark] => ['sound', 'Out while running', [], []],
        %w[charge_lamp_running lit] => ['act', 'Lit while running: not charging', [], []],
        %w[charge_lamp_running dim] => ['act', 'Glows dimly: output drop or diode trio', [], []]
      }.freeze
      private_constant :MEANINGS

      # @return [Judgement]
      def call
        return judgement('sound', 'No lamp on this unit', weight: 'hint') if reading.observation == 'no_lamp'

        verdict, words, convicts, rules_out = MEANINGS.fetch([reading.test_key, reading.observation])
        judgement(verdict, words, weight: 'hint', convicts: convicts, rules_out: rules_out, traps: lost_lamp)
      end

      private

      def lost_lamp
        key_on = companion('charge_lamp_key_on')
        return [] unless reading.test_key == 'charge_lamp_running' && key_on&.observation == 'dark'

        ['It was dark with the key on too: the lamp itself may be lost']
      end
    end
  end
end
