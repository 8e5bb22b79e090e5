# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drawing::WireColours do
  it 'reads colour and tracer however they are written, and draws what it does not know as none' do
    expect(described_class.of('Red / white')).to eq([described_class::TABLE.fetch('red'), described_class::TABLE.fetch('white')])
    expect([described_class.of('light blue'), described_class.of('mauve/red'), described_class.of(nil)])
      .to eq([[described_class::TABLE.fetch('light blue'), nil], [nil, described_class::TABLE.fetch('red')], [nil, nil]])
  end

  it 'knows every colour of the sheets that ship' do
    written = Wattomneum::Circuits::Library.keys.flat_map { |key| Wattomneum::Circuits::Library.fetch(key).wires.filter_map(&:colour) }
    expect(written.flat_map { |colour| colour.split('/') }.uniq - described_class::TABLE.keys).to be_empty
  end

  it 'draws different words in different colours' do
    alike = { 'grey' => 'gray', 'violet' => 'purple' }
    shades = described_class::TABLE.except(*alike.values)
    expect(shades.values.uniq.size).to eq(shades.size)
    expect(shades.values).to all(match(/\A#\h{6}\z/))
  end
end
