# frozen_string_literal: true

module Wattomneum
  module Circuits
    # Something that has volts across two pins when it works: a load, the coil of a relay, a control unit between a supply and a ground pin,
    # the field of an alternator whose regulator is outside it.
    #   key: "M2", "K11", "U3 A/1 A/2"; unit: key of the repair unit it belongs to; from, to: nodes, the live one first
    Consumer = Struct.new(:key, :unit, :label, :from, :to, keyword_init: true) do
      # @return [String] id of the component that it is in
      def part_id = from.split(':', 2).first
    end
  end
end
