# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::PinState do
  # A lamp over a long thin wire and a switch: 12 V, lamp 4 ohm, wire 2 ohm.
  let(:sheet) do
    sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.001 }', '{ id: S1, kind: switch, closed_in: [key_on] }', '{ id: H1, kind: load, ohm: 4 }',
              '{ id: H2, kind: load, ohm: 100000 }'],
             ['{ number: a, from: BAT:+, to: S1:1 }', '{ number: long, from: S1:2, to: H1:1, ohm: 2 }', '{ number: back, from: H1:2, to: BAT:- }',
              '{ number: loose, from: S1:2, to: H2:1 }'])
  end
  let(:states) { settled(sheet) }

  def at(state) = described_class.new(states.circuit, states.fetch(state).solution)

  it 'says in one word what a pin is at: fed, fed poorly, grounded, or nothing' do
    on = at('key_on')
    # By hand: 12 V over 2 + 4 ohm leaves 8 V at the lamp, less than nine tenths of 12.
    expect(%w[BAT:+ S1:2 H1:1 H1:2 BAT:- H2:2].map { |pin| on.of(pin) }).to eq(%w[live live low ground ground live])
    expect(%w[BAT:+ S1:2 H1:1].map { |pin| at('off').of(pin) }).to eq(%w[live ground ground])
  end

  it 'calls a pin open that nothing leads to' do
    alone = sheet_of(['{ id: BAT, kind: battery, volt: 12 }', '{ id: S1, kind: switch, closed_in: [key_on] }',
                      '{ id: F1, kind: fuse, rating_ampere: 5 }'],
                     ['{ number: a, from: BAT:+, to: S1:1 }', '{ number: b, from: S1:2, to: F1:1 }'])
    off = described_class.new(alone.circuit, settled(alone).fetch('off').solution)
    expect([off.of('F1:1'), off.of('F1:2'), off.of_wire(alone.wire('b'))]).to eq(%w[open open open])
  end

  it 'calls a wire low that loses something on its way, and otherwise what its ends are' do
    on = at('key_on')
    expect(%w[a long back].map { |number| on.of_wire(sheet.wire(number)) }).to eq(%w[live low ground])
  end

  it 'has a word for every pin and wire of every sheet that ships, in every state' do
    Wattomneum::Circuits::Library.keys.each do |key| # rubocop:disable Style/HashEachMethods -- no hash
      one = Wattomneum::Circuits::Library.fetch(key)
      all = settled(one)
      one.states.each_key do |state|
        words = described_class.new(all.circuit, all.fetch(state).solution)
        said = one.parts.flat_map { |part| part.pins.map { |pin| words.of(part.node(pin)) } } + one.wires.map { |wire| words.of_wire(wire) }
        expect(said.uniq - described_class::WORDS).to be_empty
      end
    end
  end
end
