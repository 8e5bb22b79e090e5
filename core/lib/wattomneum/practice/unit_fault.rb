# frozen_string_literal: true

module Wattomneum
  module Practice
    # One hidden fault of a unit, by the part it sits in. kind: resistance (ohm in series), open (starter, feed), weak (share of its rating
    # a battery still gives), flat (percent charged), dead (no output), overcharge (volts too high).
    UnitFault = Struct.new(:element, :kind, :amount, :position, keyword_init: true) do
      # @param other_element [String]
      # @param other_position [String, nil]
      # @return [Boolean] whether mending that part mends this
      def mended_by?(other_element, other_position = nil)
        element == other_element && (position.nil? || position == other_position)
      end
    end
  end
end
