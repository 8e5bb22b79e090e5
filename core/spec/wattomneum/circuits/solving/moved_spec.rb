# frozen_string_literal: true

# A key that is turned, or a button that is pressed, from where the machine stands.
RSpec.describe Wattomneum::Circuits::Solving::SettledStates do
  # A relay that holds itself once it was pulled in, until the stop button opens.
  let(:sheet) { Wattomneum::Circuits::Notation::SheetReader.read(<<~SHEET).sheet }
    sheet: holds
    title: Holds itself
    system_volt: 12
    states: { off: Off, start: Start, running: Running, again: Key left }
    components:
      - { id: BAT, kind: battery }
      - { id: S1, kind: switch, closed_in: [start] }
      - { id: S2, kind: switch, closed_in: [off, start, running, again] }
      - { id: K1, kind: relay }
      - { id: H1, kind: load, watt: 21 }
    wires:
      - { number: 1, from: "BAT:+", to: "S2:1" }
      - { number: 2, from: "S2:2", to: "S1:1" }
      - { number: 3, from: "S1:2", to: "K1:86" }
      - { number: 4, from: "K1:85", to: "BAT:-" }
      - { number: 5, from: "S2:2", to: "K1:30" }
      - { number: 6, from: "K1:87", to: "K1:86" }
      - { number: 7, from: "K1:87", to: "H1:1" }
      - { number: 8, from: "H1:2", to: "BAT:-" }
  SHEET
  let(:circuit) { Wattomneum::Circuits::Circuit.new(sheet) }
  let(:settled) { described_class.new(circuit) }

  def lit?(states, key) = states.fetch(key).solution.volt(circuit.node('H1:1')) > 6
  def button = circuit.item('S2').branches

  it 'goes straight from one key state into another, and what holds goes on holding' do
    expect(lit?(settled, 'running')).to be(true)
    expect(lit?(settled.moved(from: 'running', to: 'off'), 'off')).to be(true)
    expect(lit?(settled.moved(from: 'off', to: 'running'), 'running')).to be(false)
  end

  it 'lets go what is opened meanwhile, and leaves the machine that it came from as it was' do
    expect(lit?(settled.moved(from: 'running', to: 'running', opening: button), 'running')).to be(false)
    expect(lit?(settled, 'again')).to be(true)
  end

  it 'agrees with going there through the key states in their order' do
    expect(lit?(settled.moved(from: 'running', to: 'again'), 'again')).to eq(lit?(settled, 'again'))
  end

  it 'knows no key state that the sheet has not' do
    expect { settled.moved(from: 'running', to: 'park') }.to raise_error(Wattomneum::UnknownKeyError, /no key state park/)
    expect { settled.moved(from: 'park', to: 'off') }.to raise_error(Wattomneum::UnknownKeyError, /no key state park/)
  end
end
