# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # Everything that may be wrong within a scope, with priors: base rate of the part, how often it is this kind, spread over its severities.
      class Hypotheses
        KINDS = DataFile.load('fault_kinds').to_h { |row| [row['kind'], row] }.freeze
        # Of nothing at all, against an open run of wire.
        NOTHING_WEIGHT = 1.0
        private_constant :NOTHING_WEIGHT

        # @param machine [Circuits::Machine]
        # @param scope [Scope]
        def initialize(machine, scope)
          @machine = machine
          @circuit = machine.circuit
          @scope = scope
        end

        # @return [Array<Hypothesis>] that nothing is wrong first
        def all
          @all ||= [Hypothesis.nothing(NOTHING_WEIGHT), *@scope.indices.reject { |index| source?(index) }.flat_map { |index| of(index) }]
        end

        private

        def source?(index) = @circuit.network.branches[index].volt.nonzero?
        def unit(index) = @machine.repair_units.of(index)

        def of(index)
          return [] if unit(index).kind == 'body'

          [cut(index), *(load?(index) ? changed(index) : series(index)), *(shorted(index) if unit(index).kind == 'wire')]
        end

        def load?(index) = !@circuit.conductor?(index)
        def rate(index) = @machine.repair_units.rate(unit(index))

        def cut(index)
          Hypothesis.new(unit: unit(index), kind: 'open', opened: [index], ohms: {}, extra: [], weight: rate(index) * KINDS['open']['weight'])
        end

        def series(index)
          row = KINDS['series']
          ohm = @circuit.network.branches[index].ohm
          graded(row, row[ohm < row['thick_under_ohm'] ? 'thick' : 'thin'], index) { |added| { ohms: { index => ohm + added } } }
        end

        # A winding or an element of another resistance than its own.
        def changed(index)
          row = KINDS['load']
          own = @circuit.network.branches[index].ohm
          row['times'].flat_map do |series|
            series.each_with_index.map do |times, grade|
              Hypothesis.new(unit: unit(index), kind: row['kind'], opened: [], extra: [], ohms: { index => own * times },
                             grade: grade, weight: rate(index) * row['weight'] / row['times'].flatten.size)
            end
          end
        end

        # At the end that lies farther from the battery.
        def shorted(index)
          row = KINDS['shorted']
          node = @circuit.network.branches[index].from
          return [] if node.zero?

          graded(row, row['ohm'], index) do |ohm|
            { extra: [Circuits::Solving::Network::Branch.new(from: node, to: 0, ohm: ohm, volt: 0.0)] }
          end
        end

        # One for each severity, the prior shared among them.
        def graded(row, range, index)
          ohms = grades(*range, row['a_decade'])
          ohms.each_with_index.map do |ohm, grade|
            Hypothesis.new(unit: unit(index), kind: row['kind'], opened: [], ohms: {}, extra: [], grade: grade,
                           weight: rate(index) * row['weight'] / ohms.size, **yield(ohm))
          end
        end

        def grades(least, most, a_decade)
          steps = (Math.log10(most / least.to_f) * a_decade).round
          (0..steps).map { |step| least * (10**step.fdiv(a_decade)) }
        end
      end
    end
  end
end
