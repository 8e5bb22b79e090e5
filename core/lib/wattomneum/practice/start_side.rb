# frozen_string_literal: true

module Wattomneum
  module Practice
    # The start side of a unit with faults in it: its circuit, with what is bolted on, hidden behind a Truth.
    class StartSide
      # Where a part of the start circuit lies on the usual sheet.
      ITEMS = { 'positive_clamp' => 'wire 1', 'isolator' => 'S1', 'starter_cable' => 'wire 4', 'positive_cable' => 'wire 4',
                'starter_mount' => 'wire bolts', 'block_strap' => 'wire strap', 'negative_cable' => 'wire 5',
                'signal_wire' => 'wire 19', 'starter' => 'M1' }.freeze
      # What an engine asks for that can not be turned.
      LOCKED_RATIO = 12.0
      SLOW_RATIO = 0.8
      STARTER = 'M1'
      SOLENOID = 'K2'
      RELAY = 'K1'

      # @param system [Systems::ElectricalSystem] with a starter
      # @param faults [Array<UnitFault>]
      # @param seed [Integer]
      # @param temperature_celsius [Float] of engine and batteries
      # @param charge_percent [Hash{String => Float}] by position
      # @param health_ratio [Hash{String => Float}]
      def initialize(system:, faults:, seed:, temperature_celsius:, charge_percent:, health_ratio:)
        @system = system
        @faults = faults
        drawn = Circuits::UsualSheets.for(system).first
        @sheet = turned_by_hand(Circuits::Fitment.new(drawn, system: system, celsius: temperature_celsius, charge_percent: charge_percent,
                                                             health_ratio: health_ratio).sheet)
        @truth = Truth.new(sheet: @sheet, faults: hidden, seed: seed)
        @sound = Truth.new(sheet: Circuits::Fitment.new(drawn, system: system, celsius: temperature_celsius).sheet, faults: [], seed: seed)
      end

      # @param from [String] key of a place
      # @param to [String]
      # @param state [String] of a test of the catalogue
      # @return [Float] volts, without the meter's error
      def volt(from, to, state)
        @truth.volt_between(node(from), node(to), state: Circuits::Situations.of_test(state).sheet_state)
      end

      # @return [Float] of the bank at rest
      def rest_volt = volt('positive_post', 'negative_post', 'off')

      # @return [Float] ampere in the starter's cable while it is called
      def ampere = @truth.ampere(STARTER, state: CRANKING)

      # @return [String] what is seen and heard when the key is turned
      def behaviour
        return lets_go if [SOLENOID, RELAY].any? { |id| @truth.chatters?(id, CRANKING) }
        return 'silent' unless @truth.works?(SOLENOID, CRANKING)
        return 'click' if locked? || ampere < NO_AMPERE
        return speed_ratio >= SLOW_RATIO ? 'normal' : 'slow' if speed_ratio.positive?

        lets_go
      end

      CRANKING = 'cranking'
      NO_AMPERE = 1.0
      private_constant :CRANKING, :NO_AMPERE

      private

      # Behind a joint it lets go at once and stays so, one click; on a weak bank it comes back and back.
      def lets_go
        joint = @faults.any? { |fault| fault.kind == 'resistance' && fault.element != 'signal_wire' && ITEMS.key?(fault.element) }
        joint ? 'click' : 'chatters'
      end

      def node(place) = @sheet.places.fetch(place)
      def locked? = @faults.any? { |fault| fault.element == 'engine' }

      def turned_by_hand(sheet)
        return sheet unless locked?

        starter = sheet.part(STARTER).fields
        sheet.with_parts(STARTER => starter.merge('demand_ratio' => starter['demand_ratio'] * LOCKED_RATIO))
      end

      def hidden
        @faults.select { |fault| ITEMS.key?(fault.element) }.map do |fault|
          item = ITEMS.fetch(fault.element)
          fault.kind == 'open' ? Fault.open(item) : Fault.new(item: item, adds_ohm: fault.amount)
        end
      end

      # Against the same engine at the same temperature with a sound bank and path.
      def speed_ratio = @sheet.part(STARTER).speed_ratio(ampere) / [sound_speed, LEAST_SPEED].max
      def sound_speed = @sheet.part(STARTER).speed_ratio(@sound.ampere(STARTER, state: CRANKING))
      LEAST_SPEED = 0.05
      private_constant :LEAST_SPEED
    end
  end
end
