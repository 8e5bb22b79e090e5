# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      class CommonCause
        # How strongly everything watched works in every key state with each effect: ampere of what draws current, whether a relay is pulled
        # in, volts of control units, sources and signals. The long part of the work, which may be done beforehand and kept.
        class Strengths
          # Single precision, most significant byte last.
          FORMAT = 'e*'
          private_constant :FORMAT

          # @param settled [Solving::SettledStates] the sound machine
          # @param effects [Array<Ways::Effect>]
          def initialize(settled, effects)
            @settled = settled
            @circuit = settled.circuit
            @effects = effects
            @rows = []
          end

          # @yieldparam done [Integer] how many effects are worked out
          # @return [Array<Array<Float>>] the sound machine first, then with each effect; in each by watch, then by key state
          # @raise [OverBudgetError] if it is more than is allowed at once; the next call goes on where it stopped
          def all
            @effects.drop(@rows.size).each do |effect|
              @rows << with(effect)
              yield @rows.size if block_given?
            end
            [sound, *@rows]
          end

          # @param rows [Array<Array<Float>>] as all gave them
          # @return [String]
          def self.dump(rows) = rows.flatten.pack(FORMAT)

          # @param bytes [String]
          # @param circuit [Circuit] the same
          # @param effects [Integer] how many
          # @return [Array<Array<Float>>, nil] nil where they are of another circuit, or of an older program
          def self.read(bytes, circuit, effects)
            flat = bytes.unpack(FORMAT)
            width = circuit.watches.size * circuit.sheet.states.size
            flat.each_slice(width).to_a if width.positive? && flat.size == width * (effects + 1)
          end

          private

          def states = @circuit.sheet.states.keys
          def onset = @onset ||= Solving::Onset.new(@settled)
          def variations = @variations ||= @circuit.variations
          def sound = @sound ||= row(@settled)

          def row(settled, before: [], from: 0)
            late = states.drop(from)
            @circuit.watches.each_with_index.flat_map do |watch, index|
              [*before.slice(index * states.size, from), *late.map { |state| strength(settled.fetch(state), watch) }]
            end
          end

          def with(effect)
            Effort.spend!(@circuit.watches.size * states.size)
            first = onset.of(branches: [*effect.opened, *effect.ohms.keys], shorted: [*effect.shorted&.first]) or return sound
            row(changed(effect, first), before: sound, from: first)
          end

          def changed(effect, first)
            ohms = effect.ohms.to_h { |index, ohm| [index, @circuit.network.branches[index].ohm + ohm] }
            extra = effect.shorted ? [effect.shorted.then { |node, ohm| Solving::Network::Branch.new(from: node, to: 0, ohm: ohm, volt: 0.0) }] : []
            Solving::SettledStates.new(@circuit, switching: @settled.switching, opened: effect.opened,
                                                 network: variations.with(extra: extra, ohms: ohms), results: onset.before(first))
          end

          def strength(result, watch)
            return result.positions.energised.include?(watch.key) ? 1.0 : 0.0 if watch.kind == 'relay'

            element = @circuit.element(watch) if watch.kind == 'load'
            element ? result.solution.current(element).abs : volts(result.solution, watch)
          end

          def volts(solution, watch)
            from, to = [watch.from, watch.to].map { |name| @circuit.node(name) }
            solution.connected?(from, to) ? solution.volt(from) - solution.volt(to) : 0.0
          end
        end
      end
    end
  end
end
