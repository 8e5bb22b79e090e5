# frozen_string_literal: true

module Wattomneum
  module Practice
    # Something about a unit that no item of its circuit is: a battery that is weak (share of its rating it still gives) or flat (percent
    # charged); an engine that is locked or drags (how much more it asks for); a starter that is shorted (ohm across it) or spins; a belt or an
    # alternator that is dead, an alternator that is low (volts under its setpoint); fuel that is lost; loads that are on (ampere, key on).
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
