# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drawing
      # Which wires end on each pin of a sheet, and what lies at their other ends.
      class Ends
        # @param sheet [Sheet]
        def initialize(sheet)
          @wires = sheet.wires.flat_map { |wire| [[wire.from, wire], [wire.to, wire]] }.group_by(&:first).transform_values { |at| at.map(&:last) }
          freeze
        end

        # @param node [String] "K1:30"
        # @return [Array<Wire>]
        def wires(node) = @wires.fetch(node, [])

        # @param node [String]
        # @return [Array<String>] nodes
        def others(node) = wires(node).map { |wire| wire.from == node ? wire.to : wire.from }

        # @param node [String]
        # @return [Boolean] whether any wire ends there
        def any?(node) = @wires.key?(node)
      end
    end
  end
end
