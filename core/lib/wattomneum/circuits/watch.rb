# frozen_string_literal: true

module Wattomneum
  module Circuits
    # Something whose working shows: a load that lights or pulls, a relay that clicks, a control unit that runs, a signal.
    #   key: "Y1", or the pin of a signal; kind: load, relay, control_unit, source or signal; from, to: nodes the volts are taken
    #   across; least_volt: at least this and it works, nil for a signal, which only moves; codes: trouble codes it sets when it
    #   does not work. Whether it is switched on and whole inside is for its own branch to say (Circuit#element).
    Watch = Struct.new(:key, :label, :kind, :from, :to, :least_volt, :codes, keyword_init: true) do
      # @return [Boolean]
      def signal? = kind == 'signal'

      # @param volt [Float]
      # @return [Boolean] false for a signal
      def works_at?(volt) = !signal? && volt >= least_volt
    end
  end
end
