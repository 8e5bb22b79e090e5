# frozen_string_literal: true

module Wattomneum
  module Evidence
    # Whether a reading may be used at all: state, required conditions, a proved meter behind a zero.
    #
    # Source: handbook chapter on evidence, common practice.
    class Preconditions
      # A zero shown by a meter nobody proved convicts nothing.
      ZERO_VOLT = 0.02

      # @param reading [Readings::Reading]
      # @param system [Units::ElectricalSystem]
      def initialize(reading, system)
        @reading = reading
        @test = reading.test
        @system = system
      end

      # @return [Array<String>] why the reading is void; empty when nothing speaks against it
      def objections
        [wrong_state, *refused].compact
      end

      # @return [Array<String>] what nobody said
      def unstated
        keys = required.select { |key| said(key) == :not_said }
        keys.map { |key| "Not said: #{Wording.inside(definition(key)['label'])}" }
      end

      # @return [String, nil] what to do instead, for the first thing that is wrong
      def instead
        return "Take it again #{Readings::Catalogue::STATES.fetch(@test.state)}" if wrong_state

        key = required.find { |name| said(name) == :no } || required.find { |name| said(name) == :not_said }
        return if key.nil?

        said(key) == :no ? definition(key)['instead'] : "Say it and the reading counts, or take it again: #{definition(key)['help']}"
      end

      private

      def required
        keys = @test.required_conditions(@system)
        zero_that_convicts? ? keys + ['meter_proved'] : keys
      end

      # Along the circuit the posts of the same state prove the meter, and its judge looks at them.
      def zero_that_convicts?
        !@test.along_circuit? && @test.zero_convicts? && !@reading.value.nil? && @reading.value.abs < ZERO_VOLT
      end

      def wrong_state
        return if @test.states.include?(@reading.state)

        states = Readings::Catalogue::STATES
        "Taken #{states.fetch(@reading.state)}; this test is #{states.fetch(@test.state)}"
      end

      def refused
        required.select { |key| said(key) == :no }.map { |key| "Not so: #{Wording.inside(definition(key)['label'])}" }
      end

      def said(key) = @reading.conditions.said(key)
      def definition(key) = Conditions::DEFINITIONS.fetch(key)
    end
  end
end
