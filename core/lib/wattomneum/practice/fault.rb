# frozen_string_literal: true

module Wattomneum
  # A simulated unit with something wrong in it.
  module Practice
    # Something wrong inside a unit. item: key of a circuit's item, "wire 8", "G8 wire 8", "K11 coil"; ohm: the resistance it has now, or
    # nil for what adds_ohm adds to what it had; to_ground_ohm: what leads from its first end to battery negative besides
    Fault = Struct.new(:item, :ohm, :adds_ohm, :to_ground_ohm, keyword_init: true) do
      # @param item [String]
      # @return [Fault]
      def self.open(item) = new(item: item, ohm: Truth::OPEN_OHM)

      # @param item [String]
      # @param ohm [Float]
      # @return [Fault]
      def self.short(item, ohm) = new(item: item, to_ground_ohm: ohm)
    end
  end
end
