# frozen_string_literal: true

# Parts that only blocking diodes lead between, judged without the solver: parts are found by walking the conducting branches, their
# volts by ngspice with each part tied to ground at one node, and whether the diodes may all block by a graph search: each blocking
# diode bounds how far one part may lie above another, and bounds that contradict each other around a cycle (Bellman and Ford, from
# memory) mean that one of them has to conduct.
module IslandLaw
  BOUND_VOLT = 1e-6

  # @return [Array<Array<Integer>>] nodes that conducting branches hold together, the reference's part first
  def parts_of(circuit, conducting)
    around = Hash.new { |hash, node| hash[node] = [] }
    circuit.network.branches.each_with_index do |branch, index|
      next unless conducting[index]

      around[branch.from] << branch.to
      around[branch.to] << branch.from
    end
    seen = {}
    (0...circuit.network.node_count).filter_map { |node| walk(node, around, seen) unless seen[node] }
  end

  # @return [Boolean] whether no placing of the parts lets all blocking diodes block
  def impossible_islands?(circuit, result)
    parts = parts_of(circuit, result.solution.conducting)
    return false if parts.size < 2

    volts = tied_volts(circuit, result, parts)
    bounds = bounds_between(circuit, result, parts, volts)
    contradiction?(bounds, parts.size)
  end

  private

  def walk(start, around, seen)
    waiting = [start]
    part = []
    while (node = waiting.pop)
      next if seen[node]

      seen[node] = true
      part << node
      waiting.concat(around[node])
    end
    part
  end

  def tied_volts(circuit, result, parts)
    conducting = circuit.network.branches.each_index.select { |index| result.solution.conducting[index] }
    elements = conducting.map { |index| circuit.network.branches[index].to_h }
    ties = parts.drop(1).map { |part| { from: part.first, to: 0, ohm: 1.0, volt: 0.0 } }
    nodes = (1...circuit.network.node_count).to_a
    found = ngspice(Netlist.cards(elements + ties), nodes.map { |node| "v(n#{node})" })
    nodes.to_h { |node| [node, found.fetch("v(n#{node})")] }.merge(0 => 0.0)
  end

  # [part one, part two, most that one may lie above two]
  def bounds_between(circuit, result, parts, volts)
    part_of = parts.each_with_index.flat_map { |part, number| part.map { |node| [node, number] } }.to_h
    blocking = circuit.owned.each_index.select { |index| circuit.owned[index].branch.gate == :forward && !result.solution.conducting[index] }
    blocking.filter_map do |index|
      branch = circuit.network.branches[index]
      ends = [part_of[branch.from], part_of[branch.to]]
      [*ends, branch.volt - volts[branch.from] + volts[branch.to]] unless ends.uniq.size == 1
    end
  end

  def contradiction?(bounds, count)
    least = Array.new(count, 0.0)
    count.times do
      moved = bounds.select do |one, other, most|
        next unless least[other] + most < least[one] - BOUND_VOLT

        least[one] = least[other] + most
      end
      return false if moved.empty?
    end
    true
  end
end
