# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drafting::Draft do
  def write(sheet) = YAML.safe_load(Wattomneum::Circuits::Notation::SheetWriter.write(sheet))
  def fetch(key) = Wattomneum::Circuits::Library.fetch(key)
  Wattomneum::Circuits::Library.keys.each do |key| # rubocop:disable Style/HashEachMethods -- no hash
    it "says the same as the sheet it was begun from, of #{key}" do
      draft = described_class.of(fetch(key))
      expect(draft.objections).to be_empty
      expect(write(draft.sheet)).to eq(write(fetch(key)))
      expect(DraftFixtures::DRAFTING::Difference.between(fetch(key), draft.sheet)).to be_empty
    end
  end

  it 'reads what is typed: sizes in mm2 or AWG, commas for points, facts in one column' do
    sheet = typed.sheet
    expect(sheet.wires.map(&:size)).to eq(['2.5 mm2', '14 AWG', '2.5 mm2'])
    expect([sheet.wire('1').length_m, sheet.part('F1').fields['rating_ampere'], sheet.part('H1').uuid]).to eq([1.2, 10, uuid(3)])
  end

  it 'has every objection at its row, and the sheet that is left without what is wrong' do
    draft = typed(fuse: row('component', uuid(2), id: 'F1', kind: 'fuse', facts: 'rating_ampere: many'),
                  three: row('wire', uuid(6), number: '3', from: 'H1:9', to: 'BAT:-', size: 'thick'))
    said = draft.objections.group_by(&:uuid).transform_values { |some| some.map(&:message) }
    expect(said.keys).to contain_exactly(uuid(2), uuid(6))
    expect(said[uuid(2)]).to match([/rating_ampere is a number, got "many"/])
    expect(said[uuid(6)]).to include(/goes to H1:9, which load H1 has not/, /mm2 of wire 3 is a number, got "thick"/)
    left = draft.sound_part
    expect([draft.sheet, left.parts.map(&:id), left.wires.map(&:number)]).to eq([nil, %w[BAT H1], []])
  end

  it 'objects to the second of two components with one id, whatever they are, and goes on with the first' do
    { { kind: 'fuse', facts: 'rating_ampere: 30' } => 'F1 stands here twice',
      { kind: 'load', facts: 'watt: 5' } => 'F1 stands here twice, as fuse and load' }.each do |fields, words|
      draft = typed(again: row('component', uuid(9), id: 'F1', **fields))
      expect(draft.objections.map { |one| [one.uuid, one.message] }).to eq([[uuid(9), words]])
      expect(draft.sound_part.part('F1').fields['rating_ampere']).to eq(10)
    end
  end

  it 'offers where a wire can end, by the components that can be read, however little the rest can' do
    expect(typed.ends).to include('BAT:+', 'F1:1', 'F1:2', 'H1:1')
    bad = typed(fuse: row('component', uuid(2), id: 'F1', kind: 'fuse', facts: 'rating_ampere: many'),
                lamp: row('component', uuid(3), id: 'G7', kind: 'ground', facts: 'body: FRAME'))
    expect(bad.ends).to eq(%w[BAT:+ BAT:- G7])
    expect(described_class.new({ 'states' => 'odd', 'system_volt' => 'many' }, bad.rows).ends).to eq(%w[BAT:+ BAT:- G7])
    expect(described_class.new({}, []).ends).to eq([])
  end

  it 'keeps facts that cannot be read, and says so at their row' do
    draft = typed(lamp: row('component', uuid(3), id: 'H1', kind: 'load', facts: 'watt: [21'))
    expect(draft.objections.map { |one| [one.uuid, one.message] }).to include([uuid(3), include('the facts cannot be read')])
    expect(draft.rows[2].typed['facts']).to eq('watt: [21')
  end

  it 'says of a head that cannot be read that it cannot, at no row' do
    draft = described_class.new({ 'sheet' => 'Not a key', 'title' => 'x', 'system_volt' => 13 }, typed.rows)
    expect(draft.objections.map(&:uuid).uniq).to eq([nil])
    expect(draft.sound_part).to be_nil
  end

  # The battery row is wrong: pins that volts are counted from, places and links go with it, the rest is drawn all the same.
  it 'draws what is left where the part is wrong that the head names' do
    draft = described_class.of(fetch('start_24v'))
    broken = draft.rows.map do |one|
      one.typed['id'].to_s.start_with?('BAT') ? row('component', one.uuid, **one.typed.transform_keys(&:to_sym), kind: 'batery') : one
    end
    left = described_class.new(draft.head, broken).sound_part
    expect([left.parts.map(&:id).grep(/BAT/), left.part('K1').id]).to eq([[], 'K1'])
  end

  # U+2028 and U+0085 end a line in YAML, not in JSON: objections must find their rows all the same.
  it 'finds the row of an objection whatever is typed in the rows before it' do
    lamp = row('component', uuid(3), id: 'H1', kind: 'load', label: "one\u2028two\u0085three\nfour", facts: 'watt: 21')
    draft = typed(lamp: lamp, three: row('wire', uuid(6), number: '3', from: 'H1:9', to: 'BAT:-'))
    expect(draft.objections.map(&:uuid)).to eq([uuid(6)])
    expect(typed(lamp: lamp).sheet.part('H1').label).to eq("one\u2028two\u0085three\nfour")
  end
end
