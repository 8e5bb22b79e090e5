# frozen_string_literal: true

# Sheets of a size that nobody draws by hand, as texts: what must be answered or refused in time.
module HeavySheets
  # Every splice wired to every other.
  def self.mesh(splices)
    wires = splices.times.to_a.combination(2).map { |one, other| wire("S#{one}", "S#{other}") }
    sheet('mesh', Array.new(splices) { |index| "{ id: S#{index}, kind: splice }" }, wires, from: 'S0', to: 'S1')
  end

  # One long chain.
  def self.splices(count)
    wires = (1...count).map { |index| wire("S#{index - 1}", "S#{index}") }
    sheet('splices', Array.new(count) { |index| "{ id: S#{index}, kind: splice }" }, wires, from: 'S0', to: "S#{count - 1}")
  end

  # Each relay feeds the coil of the next.
  def self.relays(count)
    wires = Array.new(count) do |index|
      [wire('BAT:+', "K#{index}:30"), wire(index.zero? ? 'BAT:+' : "K#{index - 1}:87", "K#{index}:86"), wire("K#{index}:85", 'BAT:-')]
    end
    sheet('relays', Array.new(count) { |index| "{ id: K#{index}, kind: relay, coil_ohm: 90 }" }, wires.flatten, from: 'BAT:+', to: 'BAT:-')
  end

  # As real ones are: fuses, splices, plugs, three loads each, one ground.
  def self.harness(least_wires)
    groups = (least_wires / 11.0).ceil
    parts = Array.new(groups) { |group| group_parts(group) }.flatten
    wires = Array.new(groups) { |group| group_wires(group) }.flatten
    sheet('harness', ['{ id: P, kind: stud }', '{ id: G, kind: stud }', *parts], [*wires, wire('G', 'BAT:-')], from: 'P', to: 'G')
  end

  def self.group_parts(group)
    ["{ id: F#{group}, kind: fuse, rating_ampere: 15 }", "{ id: S#{group}, kind: splice }", "{ id: X#{group}, kind: connector, ways: 4 }",
     *Array.new(3) { |load| "{ id: L#{group}x#{load}, kind: load, ohm: 24 }" }]
  end

  def self.group_wires(group)
    feeds = [wire('P', "F#{group}:1"), wire("F#{group}:2", "S#{group}")]
    feeds + Array.new(3) do |load|
      [wire("S#{group}", "X#{group}:a/#{load + 1}"), wire("X#{group}:b/#{load + 1}", "L#{group}x#{load}:1"), wire("L#{group}x#{load}:2", 'G')]
    end
  end

  def self.wire(from, to) = "from: '#{from}', to: '#{to}', mm2: 1.5, length_m: 1"

  def self.sheet(key, parts, wires, from:, to:)
    ends = [*(wire('BAT:+', from) unless from == 'BAT:+'), wire(to, 'END:1'), wire('END:2', 'BAT:-')]
    rows = ['{ id: BAT, kind: battery }', '{ id: END, kind: load, ohm: 4 }', *parts]
    numbered = (wires + ends).each_with_index.map { |row, index| "{ number: w#{index}, #{row} }" }
    "sheet: #{key}\ntitle: #{key}\nsystem_volt: 12\ncomponents:\n#{list(rows)}wires:\n#{list(numbered)}"
  end

  def self.list(rows) = rows.map { |row| "  - #{row}\n" }.join
  private_class_method :group_parts, :group_wires, :wire, :sheet, :list
end
