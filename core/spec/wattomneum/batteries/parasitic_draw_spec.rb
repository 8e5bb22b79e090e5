# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::ParasiticDraw do
  it 'reads 0.9 mV across a 7.5 mohm fuse as 0.12 A' do
    expect(described_class.through_fuse(drop_volt: 0.0009, fuse_ohm: 0.0075)).to be_within(1e-9).of(0.12)
  end

  # Charge balance by hand: (95 - 50) % of 100 Ah with a fifth in reserve is 36 Ah; at 0.15 A that is 240 h.
  it 'gives ten days to 45 Ah at 0.15 A with a fifth in reserve' do
    days = described_class.days_to_no_start(charge_percent: 95.0, no_start_percent: 50.0, capacity_ampere_hour: 100.0, draw_ampere: 0.15)
    expect(days).to be_within(1e-9).of(10)
  end

  it 'gives no days to a battery already under, and refuses a draw of nothing' do
    expect(described_class.days_to_no_start(charge_percent: 40.0, no_start_percent: 50.0, capacity_ampere_hour: 100.0,
                                            draw_ampere: 0.1)).to eq(0.0)
    expect { described_class.through_fuse(drop_volt: 0.1, fuse_ohm: 0.0) }.to raise_error(Wattomneum::InvalidQuantityError)
  end
end
