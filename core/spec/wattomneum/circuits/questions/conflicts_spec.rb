# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::Conflicts do
  battery = '{ id: BAT, kind: battery }'
  unit = '{ id: A, kind: control_unit, pins: [{ pin: "A/7", role: supply }, { pin: "B/7", role: signal }, { pin: "B/8", role: ground }] }'

  def kinds(*sheets) = described_class.find(sheets).map { |conflict| [conflict.kind, conflict.words] }

  it 'finds a pin number without its connector, keeps the wire hanging, and a ruling puts it where it belongs' do
    sheet = sheet_of([battery, unit], ['{ number: 1, from: BAT:+, to: A:7 }', '{ number: 2, from: A:B/8, to: BAT:- }'])
    conflict = described_class.find([sheet]).first
    expect(conflict).to have_attributes(kind: 'pin_without_connector', words: 'Wire 1 goes to A:7, which names a pin without its connector')
    expect(conflict.options.map(&:label)).to eq(['It is A:A/7', 'It is A:B/7'])
    expect(volts_at(settled(sheet), 'A:A/7', 'off')).to eq(0.0)
    ruled = sheet.with_overrides(conflict.options.first.overrides)
    expect(described_class.find([ruled])).to be_empty
    expect(volts_at(settled(ruled), 'A:A/7', 'off')).to be_within(0.1).of(12.6)
  end

  it 'finds one pin used twice, and lets studs and posts take many' do
    twice = sheet_of([battery, '{ id: X, kind: connector, ways: 2 }', '{ id: ST, kind: stud }'],
                     ['{ number: 1, from: BAT:+, to: X:a/1 }', '{ number: 2, from: BAT:+, to: X:a/1 }', '{ number: 3, from: BAT:+, to: ST }',
                      '{ number: 4, from: ST, to: BAT:+ }'])
    expect(kinds(twice)).to eq([['pin_used_twice', 'X:a/1 is used by wires 1 and 2']])
  end

  it 'finds one colour twice in a plug, on the same side only' do
    rows = ->(second) { ['{ number: 1, from: BAT:+, to: X:a/1, colour: red }', "{ number: 2, from: BAT:+, to: X:#{second}, colour: Red }"] }
    expect(kinds(sheet_of([battery, '{ id: X, kind: connector, ways: 2 }'],
                          rows.call('a/2')))).to eq([['colour_twice', 'X has red twice on side a: wires 1 and 2']])
    expect(kinds(sheet_of([battery, '{ id: X, kind: connector, ways: 2 }'], rows.call('b/2')))).to be_empty
  end

  it 'finds a component with two names and a plug with two sizes, within a sheet and across a unit\'s sheets' do
    drawn = ->(label, ways) { "{ id: X, kind: connector, ways: #{ways}, label: #{label} }" }
    both = [sheet_of([battery, drawn.call('Cab plug', 6)], []), sheet_of([battery, drawn.call('Frame plug', 8)], [])]
    expect(kinds(*both)).to contain_exactly(['two_names', 'X has two names: Cab plug and Frame plug'], ['two_sizes', 'X has 6 and 8 ways'])
    expect(kinds(sheet_of([battery, drawn.call('Cab plug', 6), drawn.call('Cab plug', 8)], []))).to eq([['two_sizes', 'X has 6 and 8 ways']])
  end

  it 'has a key that stays the same, so that a ruling finds its conflict again' do
    found = Array.new(2) { described_class.find([Wattomneum::Circuits::Library.fetch('ecu_power')]) }
    expect(found.first.map(&:key)).to eq(found.last.map(&:key))
    expect(found.first.map(&:words)).to eq(['K10:87 is used by wires 13 and 40'])
  end
end
