# frozen_string_literal: true

module Wattomneum
  module Circuits
    # Something whose working shows: a load that lights or pulls, a relay that clicks, a control unit that runs, a signal.
    #   key: "Y1", or the pin of a signal; kind: load, relay, control_unit, source or signal; from, to: nodes the volts are taken
    #   across; least_volt: at least this and it works, nil for a signal, which only moves; states: key states in which it is
    #   switched on inside itself, nil where the circuit alone decides; codes: trouble codes it sets when it does not work
    Watch = Struct.new(:key, :label, :kind, :from, :to, :least_volt, :states, :codes, keyword_init: true) do
      # @return [Boolean]
      def signal? = kind == 'signal'

      # @param volt [Float]
      # @param key_state [String]
      # @return [Boolean] false for a signal
      def works?(volt, key_state) = !signal? && volt >= least_volt && (states.nil? || states.include?(key_state))
    end
  end
end
