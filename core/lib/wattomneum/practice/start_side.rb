# frozen_string_literal: true

module Wattomneum
  module Practice
    # What a unit does when its starter is called.
    class StartSide
      SLOW_RATIO = 0.8
      # Of a sound start at the temperature of the day.
      SOUND_RPM = 185.0
      CRANKING = 'cranking'
      NO_AMPERE = 1.0
      LEAST_SPEED = 0.05
      # From the posts to the starter and back.
      LOOP = [%w[positive_post starter_stud], %w[starter_case negative_post]].freeze
      private_constant :SOUND_RPM, :CRANKING, :NO_AMPERE, :LEAST_SPEED, :LOOP

      # @param wiring [Wiring] of a unit with a starter
      def initialize(wiring)
        @wiring = wiring
        @truth = wiring.truth
      end

      # @return [Float] ampere in the starter's cable while it is called
      def ampere = @truth.ampere_in("#{@wiring.solenoid} contact 30 to 87", state: CRANKING)

      # @return [Float] turns a minute of the engine
      def speed_rpm = SOUND_RPM * (locked? ? 0.0 : [speed_ratio, 0.0].max)

      # @return [Boolean] whether the engine can be turned by hand
      def locked? = @wiring.so?('engine', 'locked')

      # @return [String] what is seen and heard when the key is turned
      def behaviour
        return 'spins_free' if @wiring.so?('starter', 'spins')
        return 'starts_and_dies' if @wiring.so?('fuel', 'lost')
        return lets_go if @truth.restless?(CRANKING)
        return 'silent' unless @truth.pulled_in?(@wiring.solenoid, CRANKING)
        return 'click' if locked? || ampere < NO_AMPERE
        return speed_ratio >= SLOW_RATIO ? 'normal' : 'slow' if speed_ratio.positive?

        lets_go
      end

      private

      # Behind a joint it lets go at once and stays so, one click; on a weak bank it comes back and back.
      def lets_go = joint? ? 'click' : 'chatters'

      def joint? = @wiring.circuit_faults.any? { |fault| on_loop.intersect?(@wiring.item(fault).branches) }

      def on_loop
        @on_loop ||= begin
          circuit = @wiring.sheet.circuit
          finder = Circuits::Questions::PathFinder.new(circuit, Circuits::Solving::SettledStates.new(circuit).fetch(CRANKING))
          LOOP.flat_map { |from, to| finder.between(@wiring.node(from), @wiring.node(to)).steps.map(&:index) }
        end
      end

      # Against the same engine at the same temperature with a sound bank and path.
      def speed_ratio = starter.speed_ratio(@truth.ampere(@wiring.starter, state: CRANKING)) / [sound_speed, LEAST_SPEED].max
      def sound_speed = starter.speed_ratio(@wiring.sound.ampere(@wiring.starter, state: CRANKING))
      def starter = @wiring.sheet.part(@wiring.starter)
    end
  end
end
