# frozen_string_literal: true

module Wattomneum
  module Circuits
    # One resistance (and perhaps a source) of a part between two of its nodes, and when it conducts.
    class PartBranch
      # always: it simply does; states: in the key states named; energised and rest: while its relay is pulled in, or is not;
      # driven: while its driver is on; undriven: while the driven branch beside it in its part is off; whole: until its fuse blows;
      # forward: while the diode conducts
      GATES = %i[always states energised rest driven undriven whole forward].freeze
      # What switches a driven branch on. states: key states in which it is asked to; needs: pins and least volts counted
      # from the pin `ground`; after_s and for_s: its delay and how long it lasts, told to the reader.
      Driver = Struct.new(:states, :needs, :ground, :after_s, :for_s, keyword_init: true)
      # One need of a driver.
      Need = Struct.new(:pin, :least_volt, keyword_init: true)

      attr_reader :from, :to, :ohm, :volt, :gate, :states, :driver, :name

      # @param from [String] node, as in "K1:30"
      # @param to [String]
      # @param ohm [Float] greater than 0
      # @param volt [Float] of a source in series, driving current out of `from`
      # @param gate [Symbol] one of GATES
      # @param states [Array<String>] for :states
      # @param driver [Driver, nil] for :driven
      # @param name [String, nil] what it is, where a part has several: "contact 30 to 87"
      def initialize(from:, to:, ohm:, volt: 0.0, gate: :always, states: [], driver: nil, name: nil)
        @from = from
        @to = to
        @ohm = ohm
        @volt = volt
        @gate = gate
        @states = states
        @driver = driver
        @name = name
        freeze
      end
    end
  end
end
