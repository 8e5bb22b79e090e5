# frozen_string_literal: true

module Wattomneum
  module Circuits
    # The state a unit is in while something is measured: isolator, key, engine, loads. What a sheet calls its key state and a test its
    # state are both names for one of these.
    #   sheet_state: key state of a sheet; test_state: name in the catalogue of tests, nil where no test has it; cautions: ids
    Situation = Struct.new(:key, :label, :isolator, :key_switch, :engine, :loads, :sheet_state, :test_state, :cautions, keyword_init: true) do
      # @param sheet [Sheet]
      # @return [Array<Situation>] those that this sheet knows, in the order of its key states
      def self.of(sheet)
        sheet.states.flat_map do |state, label|
          Sheet::STATES[state] == label ? Situations::BY_SHEET_STATE.fetch(state, []) : [Situations.own(state, label)]
        end
      end

      # @return [Boolean] whether volts can stand on a circuit that the isolator parts
      def live? = isolator != 'open'

      # @return [Boolean] whether belts and fan turn
      def turning? = %w[cranking running].include?(engine)
    end
  end
end
