# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # Every reading of volts worth thinking of within a scope: each point against the negative post, straight across each part, across what
      # should work.
      class Candidates
        # @param machine [Circuits::Machine]
        # @param scope [Scope]
        def initialize(machine, scope)
          @machine = machine
          @circuit = machine.circuit
          @scope = scope
        end

        # @return [Array<Candidate>]
        def all = @all ||= [*parts, *consumers, *points].uniq { |one| [one.from, one.to].sort }

        private

        def points = (@scope.nodes - [post]).map { |node| Candidate.new(from: node, to: post, needs: []) }
        def post = @machine.sheet.negative_post
        def consumers = @scope.consumers.map { |one| Candidate.new(from: one.from, to: one.to, needs: []) }

        def parts
          @scope.indices.group_by { |index| @machine.repair_units.of(index) }.flat_map do |unit, indices|
            next [] if unit.kind == 'body'

            pairs(unit, indices).map { |from, to, needs| Candidate.new(from: from, to: to, unit: unit, needs: needs) }
          end
        end

        # A run of wire from end to end; of a component each of its ways.
        def pairs(unit, indices)
          ways = unit.kind == 'wire' ? [indices] : indices.zip
          ways.filter_map do |way|
            ends = way.flat_map { |index| @scope.ends(index) }.tally.select { |_, count| count == 1 }.keys & @scope.nodes
            [*ends, way.flat_map { |index| needs(index) }] if ends.size == 2
          end
        end

        def needs(index)
          owned = @circuit.owned[index]
          %i[energised driven].include?(owned.branch.gate) && owned.part ? @machine.consumers.needed(owned.part) & @scope.consumers : []
        end
      end
    end
  end
end
