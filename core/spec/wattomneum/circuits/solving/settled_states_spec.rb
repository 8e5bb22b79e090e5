# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Solving::SettledStates do
  let(:machine) { settled(Wattomneum::Circuits::Library.fetch('glow')) }

  it 'goes through the key states in the order of the sheet, whichever is asked for first' do
    last_first = settled(Wattomneum::Circuits::Library.fetch('glow'))
    expect(last_first.fetch('running').positions).to eq(machine.all['running'].positions)
  end

  it 'glows with the key on for pre-glow and while cranking, and not after' do
    volts = machine.all.keys.to_h { |state| [state, volts_at(machine, 'E1:1', state).round] }
    expect(volts).to eq('off' => 0, 'isolator_on' => 0, 'preglow' => 12, 'key_on' => 0, 'cranking' => 12, 'running' => 0)
  end

  it 'gives the same with an item open whether earlier states are taken over or gone through again' do
    item = machine.circuit.item('wire 11')
    states = machine.circuit.sheet.states.keys
    first = states.index('preglow')
    again = machine.opening(item)
    taken_over = machine.opening(item, from_state: first)
    states.drop(first).each { |state| expect(taken_over.fetch(state).positions).to eq(again.fetch(state).positions) }
    expect(again.fetch('preglow').positions.energised).to be_empty
  end

  it 'keeps what was opened before when more is opened' do
    one = machine.opening(machine.circuit.item('wire 51'))
    both = one.opening(machine.circuit.item('wire 52'))
    expect(%w[E1:1 E2:1 E3:1].map { |pin| volts_at(both, pin, 'preglow').round }).to eq([0, 0, 12])
  end

  it 'refuses a key state and an item the sheet has not' do
    expect { machine.fetch('sailing') }.to raise_error(Wattomneum::UnknownKeyError, /no key state sailing/)
    expect { machine.circuit.item('K99') }.to raise_error(Wattomneum::UnknownKeyError, /nothing called K99/)
    expect { machine.circuit.node('K99:1') }.to raise_error(Wattomneum::UnknownKeyError, /no pin K99:1/)
  end
end
