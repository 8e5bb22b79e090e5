# frozen_string_literal: true

module Wattomneum
  module Circuits
    # Something whose working shows: a load that lights or pulls, a sensor's signal, a supply at a control unit.
    #   key: "Y1" or "B3"; from, to: nodes the volts are taken across; least_volt: at least this and it works;
    #   low_good: true where it works when the volts are at most this (a magneto that sparks while its kill lead is not grounded
    #   needs none of that); codes: trouble codes that it sets when it does not
    Watch = Struct.new(:key, :label, :kind, :from, :to, :least_volt, :codes, keyword_init: true)
  end
end
