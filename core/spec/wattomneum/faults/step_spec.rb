# frozen_string_literal: true

RSpec.describe Wattomneum::Faults::Step do
  def minded(kind, **rest) = described_class.new(kind: kind, **rest).cautions.map(&:id)

  it 'minds what its test minds where something is read' do
    %w[measure prove repeat].each { |kind| expect(minded(kind, test_key: 'ground_drop')).to eq(%w[cranking]) }
    expect(minded('measure', test_key: 'engine_by_hand')).to eq(%w[turning_by_hand])
  end

  it 'minds what the part needs where a hand goes in' do
    expect(minded('repair', element: 'block_strap')).to eq(%w[ground_off underneath])
    expect(minded('condemn', element: 'battery')).to eq(%w[batteries])
    expect(minded('repair', element: 'belt')).to eq(%w[belt_drive])
  end

  it 'does not charge a frozen battery, and puts the grounded post on last' do
    expect(minded('charge', test_key: 'rest_voltage')).to eq(%w[batteries frozen_battery])
    expect(minded('put_back')).to eq(%w[batteries])
  end

  it 'has nothing to mind where nobody touches the machine' do
    expect([minded('close'), minded('watch')]).to eq([[], []])
  end
end
