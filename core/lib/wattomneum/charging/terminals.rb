# frozen_string_literal: true

module Wattomneum
  module Charging
    # Alternator and regulator terminals by function; letters repeat with other meanings between makers.
    module Terminals
      # function => what should be there, key off / key on / running, in shares of battery volts
      FUNCTIONS = {
        'battery_output' => 'always battery volts', 'sense' => 'always battery volts, within 0.1 V of the posts',
        'switched_excitation' => '0 V off, battery volts key on',
        'lamp' => 'about 1 to 2 V key on through the lamp, battery volts running',
        'field' => "the regulator's output", 'stator' => 'AC; its frequency feeds the tachometer', 'ground' => '0 V'
      }.freeze
      # Letters seen with more than one meaning (common practice).
      AMBIGUOUS = { 'S' => %w[sense switched_excitation stator], 'F' => %w[field], 'L' => %w[lamp], 'W' => %w[stator],
                    'D+' => %w[lamp], 'B+' => %w[battery_output] }.freeze

      # @param letter [String]
      # @return [Array<String>] functions the letter is known for; several mean: take the unit's own list
      def self.functions_of(letter) = AMBIGUOUS.fetch(letter, [])
    end
  end
end
