# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Notation::OverrideCheck do
  let(:sheet) { Wattomneum::Circuits::Library.fetch('fuel_pump') }
  let(:wire) { sheet.wires.first }
  let(:fuse) { sheet.parts.grep(Wattomneum::Circuits::Parts::Fuse).first }

  def check(item, changes) = described_class.call(sheet, { item.uuid => changes })

  it 'takes what such an item may have' do
    expect { check(wire, { 'length_m' => 3.5, 'colour' => 'red', 'to' => wire.to }) }.not_to raise_error
    expect { check(fuse, { 'rating_ampere' => 20 }) }.not_to raise_error
  end

  it 'refuses values of another kind, out of range, or nested, each with a sentence' do
    { 'length_m' => ['x', '2.5', -1, 1e9, [1], { 'a' => 1 }, true], 'colour' => [3, ['red'], 'turqoise'],
      'to' => ['nowhere', 7, nil, ''], 'zone' => ['moon'],
      'gauge_awg' => ['none'], 'number' => ['5'] }.each do |field, values|
      values.each { |value| expect { check(wire, { field => value }) }.to raise_error(Wattomneum::Error) }
    end
    { 'rating_ampere' => ['x', -1, nil, []], 'ways' => [3], 'kind' => ['relay'], 'uuid' => ['x'], 'body' => ['BAT', {}] }.each do |field, values|
      values.each { |value| expect { check(fuse, { field => value }) }.to raise_error(Wattomneum::Error) }
    end
  end

  it 'leaves a loose end hanging while something else of its wire changes' do
    text = <<~SHEET
      sheet: loose
      title: Loose
      system_volt: 12
      components: [{ id: BAT, kind: battery }, { id: A1, kind: connector, ways: 4 }]
      wires: [{ number: 1, from: 'BAT:+', to: 'A1:2' }, { number: 2, from: 'A1:a/1', to: 'BAT:-' }]
    SHEET
    loose = Wattomneum::Circuits::Notation::SheetReader.read(text).sheet
    expect(loose.loose_ends.size).to eq(1)
    uuid = loose.loose_ends.first.wire_uuid
    expect { described_class.call(loose, { uuid => { 'colour' => 'red' } }) }.not_to raise_error
  end

  it 'refuses an item that is not on the sheet' do
    expect { described_class.call(sheet, { 'x' => {} }) }.to raise_error(Wattomneum::UnknownKeyError, /no item x/)
  end

  it 'names the first of several fields where together they cannot be' do
    expect { check(wire, { 'length_m' => -1, 'colour' => 'red' }) }.to raise_error(Wattomneum::InvalidQuantityError) { |e| expect(e.field).to eq('length_m') }
    expect { check(wire, { 'flavour' => 1, 'length_m' => 'x' }) }
      .to raise_error(Wattomneum::InvalidQuantityError, /no flavour to override/) { |e| expect(e.field).to eq('flavour') }
  end
end
