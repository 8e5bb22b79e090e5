# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drafting::TypedRow do
  def wire(**typed) = described_class.fields('wire', typed.transform_keys(&:to_s), uuid(1)).first
  def part(**typed) = described_class.fields('component', typed.transform_keys(&:to_s), uuid(1))

  it 'reads sizes as people type them, and leaves what is none to be objected to' do
    { '2,5' => { 'mm2' => '2,5' }, '2.5 mm2' => { 'mm2' => '2.5' }, '2.5 mm²' => { 'mm2' => '2.5' }, '10 AWG' => { 'awg' => '10' },
      'AWG 2/0' => { 'awg' => '2/0' }, '#12' => { 'awg' => '12' },
      '1/0 awg' => { 'awg' => '1/0' },
      'thick' => { 'mm2' => 'thick' }, ' ' => {} }.each do |size, fields|
      expect(wire(number: '1', size: size).slice('mm2', 'awg')).to eq(fields), size
    end
  end

  it 'leaves out what is empty, trims what is not, and keeps the id of the row whatever the facts say' do
    expect(wire(number: ' 7 ', from: 'K1:30', to: '', zone: ' ')).to eq('number' => '7', 'from' => 'K1:30', 'uuid' => uuid(1))
    expect(part(id: 'K1', kind: 'relay', facts: "uuid: #{uuid(2)}, id: K9, coil_ohm: 90").first)
      .to eq('id' => 'K1', 'kind' => 'relay', 'coil_ohm' => 90, 'uuid' => uuid(1))
  end

  it 'reads facts over several lines, with lists and groups in them' do
    fields, problem = part(id: 'S1', kind: 'switch', facts: "contacts: [{ from: \"30\", to: \"15\",\n closed_in: [key_on] }],\nnote: \"lock, worn\"")
    expect([fields['contacts'], fields['note'], problem]).to eq([[{ 'from' => '30', 'to' => '15', 'closed_in' => ['key_on'] }], 'lock, worn', nil])
  end

  it 'says of facts that are none that they are not, without reading anything into them' do
    ['ohm: [1', '}{', 'a: &x 1, b: *x', '- 3', 'ohm'].each do |facts|
      fields, problem = part(id: 'R1', kind: 'resistor', facts: facts)
      next expect(fields.keys).to contain_exactly('id', 'kind', 'uuid', 'ohm'), facts if facts == 'ohm'

      expect([fields, problem]).to match([{ 'id' => 'R1', 'kind' => 'resistor', 'uuid' => uuid(1) }, include('cannot be read')]), facts
    end
  end

  it 'writes what it reads: a word in quotes only where YAML would take it for something else' do
    sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12.6, note: "yes" }', '{ id: S1, kind: switch, closed_in: [key_on], note: "left, below" }',
                      '{ id: H1, kind: load, watt: 21, aliases: { "58": "1" } }'],
                     ['{ number: "1", from: BAT:+, to: S1:1, awg: "1/0", shielded: yes }'])
    expect(sheet.parts.map { |one| described_class.of_part(one)['facts'] })
      .to eq(['volt: 12.6, note: "yes"', 'closed_in: [key_on], note: "left, below"', 'watt: 21, aliases: { 58: "1" }'])
    expect(described_class.of_wire(sheet.wires.first).values_at('size', 'facts')).to eq(['1/0 AWG', 'shielded: "yes"'])
  end
end
