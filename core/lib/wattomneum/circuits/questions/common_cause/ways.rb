# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      class CommonCause
        # Everything that may be wrong with a circuit, in coarse severities, and which of it has the same effect on all that is watched.
        class Ways
          KINDS = DataFile.load('fault_kinds').to_h { |row| [row['kind'], row] }.freeze
          # What is done to the circuit. opened: branches; ohms: added, by branch; shorted: node and ohm to battery negative
          Effect = Struct.new(:opened, :ohms, :shorted, keyword_init: true)
          # item: Circuit::Item; kind: of core/data/fault_kinds.yml; effect: index in effects; weight: prior, relative to the others
          Way = Struct.new(:item, :kind, :effect, :weight, keyword_init: true)
          private_constant :KINDS

          # @param circuit [Circuit]
          def initialize(circuit)
            @circuit = circuit
            @runs = SeriesRuns.new(circuit)
            @nets = Nets.new(circuit)
            @ways_in = circuit.items.group_by(&:uuid).transform_values(&:size)
            @effects = {}
          end

          # @return [Array<Way>]
          def all = @all ||= @circuit.items.flat_map { |item| of(item) }

          # @return [Array<Effect>] each once, though it may be that of many items
          def effects = all && @effects.values.map(&:last)

          private

          def of(item) = [broken(item), *(more_ohms(item) if conducts?(item)), *(shorted(item) if item.kind == 'wire')]

          # A source or a coil of another resistance is no bad joint.
          def conducts?(item) = item.branches.one? && @circuit.network.branches[item.branches.first].volt.zero?

          def broken(item)
            way(item, 'open', [:open, @runs.of(item.branches)], share: 1) { { opened: item.branches } }
          end

          def more_ohms(item)
            index = item.branches.first
            thick = @circuit.network.branches[index].ohm < KINDS['series']['thick_under_ohm']
            ohms = KINDS['series']['coarse'].fetch(thick ? 'thick' : 'thin')
            ohms.map { |ohm| way(item, 'series', [:series, @runs.of([index]), ohm], share: ohms.size) { { ohms: { index => ohm } } } }
          end

          def shorted(item)
            node = @circuit.network.branches[item.branches.first].from
            return [] if @nets.of(node) == @nets.of(0)

            ohms = KINDS['shorted']['coarse']
            ohms.map { |ohm| way(item, 'shorted', [:shorted, @nets.of(node), ohm], share: ohms.size) { { shorted: [node, ohm] } } }
          end

          def way(item, kind, same, share:)
            index, = @effects[same] ||= [@effects.size, Effect.new(opened: [], ohms: {}, **yield)]
            Way.new(item: item, kind: kind, effect: index, weight: prior(item) * KINDS[kind]['weight'] / share)
          end

          # The ways in which one component can open share its rate.
          def prior(item) = BaseRates.of(item.kind, @circuit.sheet, item.zone) / @ways_in.fetch(item.uuid)
        end
      end
    end
  end
end
