# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # What joins the batteries of a bank: links and their clamps, each read straight across.
      class Bank
        # @param kase [Case]
        # @param situation [String]
        def initialize(kase, situation)
          @case = kase
          @situation = situation
        end

        # @return [Array<Readings::Probe>] one for each link, from post to post with its clamps
        def whole = links.map { |wire| Readings::Probe.new(by: 'volts', from: wire.from, to: wire.to, situation: @situation) }

        # @return [Array<Readings::Probe>] one for each clamp and link between two batteries
        def probes
          links.flat_map { |wire| pieces(wire) }
        end

        private

        def sheet = @case.machine.sheet
        def battery?(node) = sheet.part(node.split(':', 2).first).is_a?(Circuits::Parts::Battery)
        def links = sheet.wires.select { |wire| battery?(wire.from) && battery?(wire.to) }

        def pieces(wire)
          path = @case.machine.paths(Circuits::Situations.on(sheet, @situation).sheet_state).between(wire.from, wire.to)
          return [] unless path.plain?

          path.steps.map { |step| Readings::Probe.new(by: 'volts', from: step.from, to: step.to, situation: @situation) }
        end
      end
    end
  end
end
