# frozen_string_literal: true

# Times the circuit model on the largest sheet that ships, against one ngspice process on the same network in the same run.
require 'open3'
require_relative '../core/lib/wattomneum'
require_relative '../core/spec/support/core_fixtures'
require_relative '../core/spec/support/netlist'
require_relative '../core/spec/golden/replay'

LARGEST = 'ecu_power'
BLAST_MOST_SECONDS = 1.0
CAUSE_MOST_SECONDS = 0.2
CAUSE_TABLE_MOST_SECONDS = 20.0
ASSEMBLY_MOST_SECONDS = 1.5
GOLDEN_MOST_SECONDS = 60.0
STRAYS_MOST_SECONDS = 2.0

def best_of(runs)
  Array.new(runs) do
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
  end.min
end

def deck(circuit, result)
  elements = circuit.owned.each_index.filter_map do |index|
    branch = circuit.network.branches[index]
    next unless result.solution.conducting[index] && !result.solution.floating?(branch.from)

    { from: branch.from, to: branch.to, ohm: branch.ohm, volt: branch.volt }
  end
  ['* largest sheet', *Netlist.cards(elements), '.control', 'op', 'quit', '.endc', '.end'].join("\n")
end

model = Wattomneum::Circuits
circuit = model::Library.fetch(LARGEST).circuit
settled = model::Solving::SettledStates.new(circuit)
running = settled.fetch('running')
text = deck(circuit, running)
ngspice = best_of(7) { Open3.capture2e('ngspice', '-b', stdin_data: text) }
solve = best_of(50) { circuit.network.solve(running.solution.conducting) }
states = best_of(7) { model::Solving::SettledStates.new(circuit).all }
blast = nil
all_blasts = best_of(3) do
  blast = model::Questions::BlastRadius.new(settled)
  circuit.items.each { |item| blast.of(item) }
end
common = model::Questions::CommonCause
causes = nil
cause_table = best_of(1) { causes = common.new(settled).work_out }
of = ->(dead, works) { causes.explain(common::Said.all(circuit, 'dead' => dead, 'works' => works)) }
cause = best_of(7) { of.call(%w[P0251 P0403 P0045], %w[A1 Y51]).causes }
pairs = best_of(3) { of.call(%w[Y51 A1:A/41], %w[A1 Y52]).pairs }
# A truck with every 24 V sheet that ships, put together and settled in all its states.
sheets = model::Library.keys.map { |key| model::Library.fetch(key) }.select { |sheet| sheet.system_volt == 24 }
together = nil
assembly = best_of(3) { together = model::Solving::SettledStates.new(model::Assembly.new(sheets).sheet.circuit).tap(&:all).circuit }

# What one fault would make something run with the key off, on that truck.
strays = best_of(3) do
  machine = model::Machine.new(together.sheet)
  machine.strays(machine.consumers.needed(machine.sheet.part('A1')).first, 'isolator_on').causes
end
golden = best_of(1) { GoldenJobs.all.each { |job| Replay.new(job).differences } }

puts format('%<sheet>s: %<nodes>d nodes, %<branches>d branches; floor: one ngspice process %<floor>.1f ms',
            sheet: LARGEST, nodes: circuit.names.size, branches: circuit.owned.size, floor: ngspice * 1000)
checks = [['one linear solve', solve, ngspice / 20, 'a twentieth of the floor'], ['all settled states', states, ngspice, 'the floor'],
          ['blast radius of all items', all_blasts, BLAST_MOST_SECONDS, '1 s'],
          ['table of common causes', cause_table, CAUSE_TABLE_MOST_SECONDS, '20 s'], ['common cause', cause, CAUSE_MOST_SECONDS, '200 ms'],
          ['common cause, pairs', pairs, CAUSE_MOST_SECONDS, '200 ms'],
          ["#{sheets.size} sheets, #{together.names.size} nodes", assembly, ASSEMBLY_MOST_SECONDS, '1.5 s'],
          ['causes of what stays on', strays, STRAYS_MOST_SECONDS, '2 s'], ['500 recorded jobs', golden, GOLDEN_MOST_SECONDS, '60 s']]
checks.each do |name, took, _most, words|
  puts format('%<name>-26s %<took>8.2f ms, ratio to the floor %<ratio>7.3f, at most %<words>s', name: name, took: took * 1000,
                                                                                                ratio: took / ngspice, words: words)
end
slow = checks.select { |_, took, most, _| took > most }
abort "Too slow: #{slow.map(&:first).join(', ')}" if slow.any?
