# frozen_string_literal: true

# A settled sheet held against ngspice: the linear circuit that its contacts and diodes leave, and the diodes' own law held against
# ngspice's volts. What conducts carries no current backwards, what blocks sees no more than its forward volts; together that is the
# one solution there is. (ngspice's own search does not end on many of these circuits.) Left out by rule: whatever nothing leads to
# from the reference, since ngspice has no volts for it but those of its own gmin.
module SheetNetlist
  LAW_VOLT = 1e-6

  # @return [Hash{Integer => Float}] volts by ngspice, by node
  def ngspice_volts(circuit, result)
    linear = circuit.network.branches.each_index.filter_map { |index| element(circuit.network.branches[index], result, index) }
    nodes = linear.flat_map { |one| one.values_at(:from, :to) }.uniq - [0]
    return { 0 => 0.0 } if nodes.empty?

    found = ngspice(Netlist.cards(linear), nodes.map { |node| "v(n#{node})" })
    nodes.to_h { |node| [node, found.fetch("v(n#{node})")] }.merge(0 => 0.0)
  end

  # @return [Array<String>] diodes that stand the wrong way for these volts
  def lawless_diodes(circuit, result, volts)
    diodes = circuit.owned.each_index.select { |index| circuit.owned[index].branch.gate == :forward }
    wrong = diodes.select do |index|
      branch = circuit.network.branches[index]
      next unless volts.key?(branch.from) && volts.key?(branch.to)

      over = volts[branch.from] - volts[branch.to] - branch.volt
      result.solution.conducting[index] ? over < -LAW_VOLT : over > LAW_VOLT
    end
    wrong.map { |index| circuit.describe(index) }
  end

  # Every node within 1e-6 or 1 microvolt of ngspice, and every diode within its law.
  def expect_agreement_with_ngspice(circuit, result, words)
    volts = ngspice_volts(circuit, result)
    volts.each do |node, expected|
      expect(result.solution.volt(node)).to be_within([expected.abs * 1e-6, 1e-6].max).of(expected), "#{words} #{circuit.names[node]}"
    end
    expect(lawless_diodes(circuit, result, volts)).to be_empty, words
  end

  private

  def element(branch, result, index)
    return if !result.solution.conducting[index] || result.solution.floating?(branch.from)

    { from: branch.from, to: branch.to, ohm: branch.ohm, volt: branch.volt }
  end
end
