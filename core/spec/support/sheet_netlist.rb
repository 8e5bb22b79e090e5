# frozen_string_literal: true

# A settled sheet as elements for the netlist writer: what conducts, and every diode as a diode. Left out by rule: whatever nothing
# leads to from the reference, since ngspice has no volts for it but those of its own gmin.
module SheetNetlist
  # @return [Array<Hash>]
  def self.elements(circuit, result)
    circuit.owned.each_index.filter_map do |index|
      branch = circuit.owned[index].branch
      from = circuit.node(branch.from)
      to = circuit.node(branch.to)
      diode = branch.gate == :forward
      next unless diode || result.solution.conducting[index]
      next if result.solution.floating?(from) || result.solution.floating?(to)

      { from: from, to: to, ohm: branch.ohm, volt: diode ? 0.0 : branch.volt, diode: diode ? branch.volt : nil }
    end
  end
end
