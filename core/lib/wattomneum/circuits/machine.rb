# frozen_string_literal: true

module Wattomneum
  module Circuits
    # A sheet ready to answer: everything that is worked out from it, once, and kept.
    class Machine
      # @return [Sheet]
      attr_reader :sheet

      # @param sheet [Sheet] with a unit's overrides, where it is a unit's
      # @param ohms [Hash{Integer => Float}] branches that are known better than the sheet gives them
      def initialize(sheet, ohms: {})
        @sheet = sheet
        @ohms = ohms
        @paths = {}
      end

      # @return [Circuit]
      def circuit = @circuit ||= Circuit.new(sheet, ohms: @ohms)

      # @return [Solving::SettledStates]
      def settled = @settled ||= Solving::SettledStates.new(circuit)

      # @return [Questions::BlastRadius]
      def blast = @blast ||= Questions::BlastRadius.new(settled)

      # @return [Questions::CommonCause] what explains a list of what was seen
      def causes = @causes ||= Questions::CommonCause.new(settled)

      # @param bytes [String] worked out beforehand, from the same sheet
      # @return [Questions::CommonCause]
      def recall_causes(bytes) = @causes = Questions::CommonCause.new(settled, bytes: bytes)

      # @param consumer [Consumer]
      # @param key_state [String]
      # @return [Questions::Strays] what one fault would switch it over in this state
      def strays(consumer, key_state) = (@strays ||= {})[[consumer.key, key_state]] ||= Questions::Strays.new(self, consumer, key_state)

      # @return [Questions::Trace]
      def trace = @trace ||= Questions::Trace.new(sheet)

      # @return [Array<Solving::Shorts::Short>]
      def shorts = @shorts ||= Solving::Shorts.find(settled)

      # @return [Questions::SoundReading] what an instrument shows between two of its points
      def sound_reading = @sound_reading ||= Questions::SoundReading.new(self)

      # @return [Consumers] what works when it has its volts
      def consumers = @consumers ||= Consumers.new(self)

      # @param key_state [String]
      # @return [Questions::PathFinder]
      # @raise [UnknownKeyError] if the sheet has no such key state
      def paths(key_state) = @paths[key_state] ||= Questions::PathFinder.new(circuit, settled.fetch(key_state))

      # @param key_state [String]
      # @return [Questions::Metal] what hangs together in it
      # @raise [UnknownKeyError] if the sheet has no such key state
      def metal(key_state) = (@metal ||= {})[key_state] ||= Questions::Metal.new(self, key_state)

      # @return [Points] where a probe can go
      def points = @points ||= Points.new(circuit)

      # @return [Apart] what comes apart for a reading
      def apart = @apart ||= Apart.new(circuit)

      # @return [RepairUnits] what is mended as one
      def repair_units = @repair_units ||= RepairUnits.new(circuit)

      # @return [Questions::PinReading]
      def pin_reading = @pin_reading ||= Questions::PinReading.new(settled)

      # @param item_key [String, nil] what is opened; nil for nothing
      # @param key_state [String]
      # @return [Array<Questions::LiveTerminals::Live>]
      # @raise [UnknownKeyError]
      def live_with(item_key, key_state:)
        Questions::LiveTerminals.new(settled).with(item_key && circuit.item(item_key), key_state: key_state)
      end

      # What an open isolator does not make dead: fuses, relays, loads and control units that have volts all the same.
      #
      # @return [Array<Part>] none where the sheet's states know no open isolator
      def live_past_isolator
        @live_past_isolator ||= sheet.states[ISOLATOR_OPEN] == Sheet::STATES[ISOLATOR_OPEN] ? bypassing(settled.fetch(ISOLATOR_OPEN).solution) : []
      end

      # @return [Hash{String => Questions::StopTable}] by the UUID of what decides, for every way to stop an engine that the sheet names
      def stop_tables
        @stop_tables ||= sheet.stops.to_h { |stop| [sheet.part(stop.device).uuid, Questions::StopTable.new(self, stop)] }
      end

      # @return [Array<LoopPath>] its loops, the start loop first
      def loops = @loops ||= sheet.loops.sort_by { |loop| loop.key == 'start' ? 0 : 1 }.map { |loop| LoopPath.new(self, loop) }

      ISOLATOR_OPEN = 'off'
      TOUCHED = [Parts::Fuse, Parts::Relay, Parts::Load, Parts::ControlUnit].freeze
      private_constant :ISOLATOR_OPEN, :TOUCHED

      private

      def bypassing(solution)
        least = Questions::LiveTerminals::LIVE_RATIO * sheet.system_volt
        sheet.parts.select do |part|
          next unless TOUCHED.any? { |kind| part.is_a?(kind) }

          part.pins.map { |pin| circuit.node(part.node(pin)) }.any? { |node| !solution.floating?(node) && solution.volt(node).abs >= least }
        end
      end
    end
  end
end
