# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # The settled volts of some nodes with each hypothesis. Wherever in a run without a fork the same ohms are added, or it is open, all that
      # lies outside the run sees the same: it is solved once for the run, and inside the run the volts are moved along.
      class Solved
        # The fault that stood for its run: where in it, what it changed, and what came out.
        Kept = Struct.new(:run, :place, :solution, keyword_init: true)

        # @param circuit [Circuits::Circuit]
        # @param state [String] key state of the sheet
        # @param nodes [Array<String>]
        # @param ohms [Hash{Integer => Float}] branches that have another resistance on this unit
        def initialize(circuit, state, nodes, ohms: {})
          @circuit = circuit
          @state = state
          @nodes = nodes.map { |node| circuit.node(node) }
          @ohms = ohms
          @kept = {}
        end

        # @param hypothesis [Hypothesis]
        # @return [Array<Float>] volts of the nodes, not a number where nothing leads to the reference
        def volts(hypothesis)
          effect = effect_of(hypothesis) or return shown(solve(hypothesis))
          kept = @kept[effect] ||= keep(hypothesis)
          place = kept.run.index { |step| step.index == hypothesis.branch }
          return shown(kept.solution) if place == kept.place
          return shown(solve(hypothesis)) unless movable?(kept, place)

          shown(kept.solution, moved(kept, place, hypothesis))
        end

        private

        def switching = @switching ||= Circuits::Solving::Switching.new(@circuit)
        def variations = @variations ||= @circuit.variations(ohms: @ohms)
        def runs = @runs ||= Circuits::Questions::SeriesRuns.new(@circuit)
        def run(index) = (@run ||= {})[index] ||= runs.in_order(index)

        def solve(hypothesis)
          network = variations.with(extra: hypothesis.extra, ohms: ohms_of(hypothesis))
          settled(network, opened: hypothesis.opened, results: onset.before([felt_from(hypothesis), asked].compact.min)).fetch(@state).solution
        end

        def settled(network, **rest) = Circuits::Solving::SettledStates.new(@circuit, switching: switching, network: network, **rest)
        def onset = @onset ||= Circuits::Solving::Onset.new(settled(variations.with))
        def felt_from(hypothesis) = onset.of(branches: [*hypothesis.opened, *hypothesis.ohms.keys], shorted: hypothesis.extra.map(&:from))
        def asked = @asked ||= @circuit.sheet.states.keys.index(@state)

        # What is added in series is added to this unit's own.
        def ohms_of(hypothesis)
          return hypothesis.ohms unless hypothesis.kind == 'series'

          { hypothesis.branch => variations.network.branches[hypothesis.branch].ohm + added_ohm(hypothesis) }
        end

        def shown(solution, instead = {})
          @nodes.map { |node| instead.fetch(node) { solution.floating?(node) ? Float::NAN : solution.volt(node) } }
        end

        # What has the same effect outside its run has the same key; nil for what is solved by itself.
        def effect_of(hypothesis)
          return unless %w[open series].include?(hypothesis.kind) && run(hypothesis.branch).size > 1

          [run(hypothesis.branch).first.index, hypothesis.kind, added_ohm(hypothesis)&.then { |ohm| Math.log10(ohm).round(3) }]
        end

        def added_ohm(hypothesis)
          hypothesis.ohms[hypothesis.branch]&.-(@circuit.network.branches[hypothesis.branch].ohm)
        end

        def keep(hypothesis)
          run = run(hypothesis.branch)
          Kept.new(run: run, place: run.index { |step| step.index == hypothesis.branch }, solution: solve(hypothesis))
        end

        # Not past a contact that is open by itself, nor past a source.
        def movable?(kept, place)
          between = kept.run[Range.new(*[kept.place, place].minmax)].map(&:index) - [kept.run[kept.place].index]
          between.all? { |index| kept.solution.conducting[index] && @circuit.network.branches[index].volt.zero? }
        end

        # Nodes between the two places, as they would be with the fault beyond them.
        def moved(kept, place, hypothesis)
          later = place > kept.place
          nodes = kept.run[Range.new(*[kept.place, place].minmax, true)].map(&:to)
          return nodes.to_h { |node| [node, end_volt(kept, later)] } if hypothesis.kind == 'open'

          lost = added_ohm(hypothesis) * along(kept) * (later ? 1 : -1)
          nodes.to_h { |node| [node, kept.solution.floating?(node) ? Float::NAN : kept.solution.volt(node) + lost] }
        end

        def end_volt(kept, later)
          node = later ? kept.run[kept.place].from : kept.run[kept.place].to
          kept.solution.floating?(node) ? Float::NAN : kept.solution.volt(node)
        end

        # Ampere along the run.
        def along(kept)
          step = kept.run[kept.place]
          ampere = kept.solution.current(step.index)
          @circuit.network.branches[step.index].from == step.from ? ampere : -ampere
        end
      end
    end
  end
end
