# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # What of a sheet is one piece of copper: pins that wires, splices, studs, ground points, metal, plugs and fuses that are whole lead together.
      class Copper
        # @param sheet [Sheet]
        def initialize(sheet)
          @above = {}
          sheet.wires.each { |wire| join(wire.from, wire.to) }
          sheet.parts.select(&:conductor?).each do |part|
            part.branches.each { |branch| join(branch.from, branch.to) }
          end
        end

        # @param node [String]
        # @return [String] the node that stands for all of its piece
        def of(node)
          node = @above[node] while @above.key?(node)
          node
        end

        # @param one [String] node
        # @param other [String] node
        # @return [Boolean]
        def together?(one, other) = of(one) == of(other)

        private

        def join(one, other)
          roots = [of(one), of(other)]
          @above[roots.first] = roots.last unless roots.uniq.one?
        end
      end
    end
  end
end
