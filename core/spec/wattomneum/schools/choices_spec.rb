# frozen_string_literal: true

RSpec.describe Wattomneum::Schools::Choices do
  it 'follows the default until the fleet chose, and says which it followed' do
    expect(described_class.shipped.fetch('battery_pairs')).to eq('set')
    chosen = described_class.new('battery_pairs' => 'failed_one')
    expect([chosen.fetch('battery_pairs'), chosen.words('battery_pairs')]).to match(['failed_one', include('young and strong')])
  end

  it 'refuses a question or an answer nobody has' do
    expect { described_class.new('colour' => 'red') }.to raise_error(Wattomneum::UnknownKeyError, /no school question/)
    expect { described_class.new('battery_pairs' => 'none') }.to raise_error(Wattomneum::UnknownKeyError, /no answer none/)
  end

  it 'has a default among its answers for every question' do
    described_class::QUESTIONS.each do |key, row|
      expect(row['answers'].map { |answer| answer['key'] }).to include(row['default']), key
    end
  end
end
