# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::PartKinds do
  described_class.all.each do |kind|
    it "has a class, limits and types for #{kind}" do
      expect(Wattomneum::Circuits::Parts.const_get(described_class::TABLE.fetch(kind)['class'])).to be < Wattomneum::Circuits::Part
      fields = described_class.fields(kind)
      [fields, *fields.values.filter_map { |rule| rule['of'] }].flat_map(&:to_a).each do |name, rule|
        expect(%w[text uuid number names map states yes_no one_of rows]).to include(rule['type']), name
        expect(rule['least']).to be < rule['most'], name if rule['type'] == 'number'
      end
      expect(described_class::TABLE.fetch(kind).fetch('one_of', []) - fields.keys).to be_empty
    end
  end

  it 'uses every kind on a sheet that ships, but those that only people draw' do
    used = Wattomneum::Circuits::Library.keys.flat_map { |key| Wattomneum::Circuits::Library.fetch(key).parts.map(&:kind) }.uniq
    expect(described_class.all - used).to eq(%w[starter])
  end

  it 'refuses a kind there is not' do
    expect { described_class.fields('kettle') }.to raise_error(Wattomneum::UnknownKeyError, /no kind of component kettle/)
  end
end
