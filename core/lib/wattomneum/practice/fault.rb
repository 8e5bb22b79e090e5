# frozen_string_literal: true

module Wattomneum
  # A simulated unit with something wrong in it.
  module Practice
    # Something wrong inside a unit. item: key of a circuit's item, "wire 8", "G8 wire 8", "K11 coil"; ohm: the resistance it has now, or
    # nil for what adds_ohm adds to what it had; to_ground_ohm: what leads from its first end to battery negative besides; to_live_ohm: to
    # battery positive; stuck: a contact that never opens
    Fault = Struct.new(:item, :ohm, :adds_ohm, :to_ground_ohm, :to_live_ohm, :stuck, keyword_init: true) do
      # @param item [String]
      # @return [Fault]
      def self.open(item) = new(item: item, ohm: Truth::OPEN_OHM)

      # Ohms too many in whatever fails most often between two points that have a name of their own.
      #
      # @param machine [Circuits::Machine] the unit's circuit
      # @param from [String] key of a place
      # @param to [String]
      # @param ohm [Float]
      # @param state [String] in which current flows there
      # @return [Fault]
      def self.between(machine, from, to, ohm:, state: 'cranking')
        steps = machine.paths(state).between(*[from, to].map { |place| machine.sheet.places.fetch(place) }).steps
        index = steps.map(&:index).max_by { |one| machine.repair_units.rate(machine.repair_units.of(one)) }
        new(item: machine.circuit.items.find { |item| item.branches == [index] }.key, adds_ohm: ohm)
      end

      # @param item [String]
      # @param ohm [Float]
      # @return [Fault]
      def self.short(item, ohm) = new(item: item, to_ground_ohm: ohm)

      # @param item [String] a contact
      # @return [Fault] that never opens
      def self.stuck(item) = new(item: item, stuck: true)

      # @param item [String]
      # @param ohm [Float]
      # @return [Fault] rubbed through against a wire that is always live
      def self.fed(item, ohm) = new(item: item, to_live_ohm: ohm)
    end
  end
end
