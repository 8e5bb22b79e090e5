# frozen_string_literal: true

# Small sheets for specs, written as people write them.
module SheetFixtures
  # @param components [Array<String>] YAML flow rows
  # @param wires [Array<String>]
  # @return [Wattomneum::Circuits::Notation::SheetReader::Result]
  def read_sheet(components, wires, system_volt: 12, reference: 'BAT:-', extra: '', **how)
    text = sheet_text(components, wires, system_volt: system_volt, reference: reference, extra: extra)
    Wattomneum::Circuits::Notation::SheetReader.read(text, **how)
  end

  def sheet_text(components, wires, system_volt: 12, reference: 'BAT:-', extra: '')
    ["sheet: spec\ntitle: Spec\nsystem_volt: #{system_volt}\nreference: #{reference}", extra, 'components:', *components.map { |row| "  - #{row}" },
     wires.empty? ? 'wires: []' : 'wires:', *wires.map { |row| "  - #{row}" }].reject(&:empty?).join("\n")
  end

  def sheet_of(components, wires, **rest)
    read_sheet(components, wires, **rest).then { |result| result.sheet || raise(result.problems.join("\n")) }
  end

  def settled(sheet, **rest) = Wattomneum::Circuits::Solving::SettledStates.new(sheet.circuit, **rest)

  # @return [Float] volts of a pin to the reference
  def volts_at(settled, pin, state) = settled.fetch(state).solution.volt(settled.circuit.node(pin))
end
