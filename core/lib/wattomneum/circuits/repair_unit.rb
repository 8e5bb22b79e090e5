# frozen_string_literal: true

module Wattomneum
  module Circuits
    # What is mended as one: a wire, a ring, the pin of a plug, a relay; solenoid, motor and the link between them are one starter.
    #   key: "wire 8", "K11", "starter"; kind: a key of core/data/repair_units.yml; item_uuids: components and wires in it
    # Within a circuit its key is who it is: thousands of suspects are counted by it.
    RepairUnit = Struct.new(:key, :label, :kind, :item_uuids, :zone, :minutes, :cautions, :laddered, keyword_init: true) do
      # @return [Integer]
      def hash = key.hash

      # @param other [Object]
      # @return [Boolean] whether it is the same part of a circuit
      def eql?(other) = other.is_a?(RepairUnit) && key == other.key
    end
  end
end
