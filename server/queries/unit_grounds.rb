# frozen_string_literal: true

module Server
  module Queries
    # The grounds of a unit on its own circuit, what was last done to each, and when it is due.
    class UnitGrounds
      CORE = Wattomneum
      attr_reader :unit

      # @param unit [Models::Unit]
      def initialize(unit)
        @unit = unit
      end

      # @return [Array<CORE::Grounds::Map::Place>] in the order of a round; empty where its sheets do not go together
      def round = @round ||= CORE::Grounds::Round.new(machine ? CORE::Grounds::Map.new(machine).places : [])

      # @param uuid [String]
      # @return [CORE::Grounds::Map::Place, nil]
      def place(uuid) = round.order.find { |one| one.uuid == uuid }

      # @return [Hash{String => Models::GroundService}]
      def services = @services ||= Models::GroundService.last_of(unit.id)

      # @param place [CORE::Grounds::Map::Place]
      # @param volt [Float]
      # @param ampere [Float]
      # @return [CORE::Grounds::Check]
      def check(place, volt:, ampere:)
        CORE::Grounds::Check.new(volt: volt, ampere: ampere, kind: place.kind, starts: starts?(place), system: system, limits: limits)
      end

      # @param place [CORE::Grounds::Map::Place]
      # @return [Date, nil] nil where nobody ever looked after it
      def due_on(place)
        service = services[place.uuid] or return
        CORE::Readings::Due.on(Models::Yard.day_of(service.served_at, unit.yard.time_zone), CORE::Readings::Due.months('grounds', limits))
      end

      # @return [Boolean] whether the starter's current returns through it
      def starts?(place) = place.steps == 1 || place.hangs.include?(starter)

      def limits = @limits ||= FleetRules.new.limits
      def system = circuits.system
      def today = @today ||= Models::Yard.day_of(Time.now.utc, unit.yard.time_zone)

      private

      def circuits = @circuits ||= UnitCircuits.new(unit.id)
      def machine = @machine ||= circuits.drawn
      def starter = @starter ||= machine.sheet.loops.find { |loop| loop.key == 'start' }&.then { |loop| machine.sheet.part(loop.load).label }
    end
  end
end
