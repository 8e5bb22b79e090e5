# frozen_string_literal: true

# Common practice: 0.05 V over one clean connection, 0.1 V over a strap, with the circuit working.
RSpec.describe Wattomneum::Grounds::Check do
  def check(volt, ampere, kind: 'ground', starts: false)
    described_class.new(volt: volt, ampere: ampere, kind: kind, starts: starts, system: parallel_pair)
  end

  it 'comes to milliohms: 0.21 V at 420 A are 0.5' do
    expect(check(0.21, 420.0).milliohm).to be_within(1e-9).of(0.5)
  end

  it 'convicts a large drop at any current, and clears a small one only where enough flowed' do
    expect([check(0.06, 0.5), check(0.04, 0.5), check(0.04, 6.0)].map(&:verdict)).to eq(%w[act unproven sound])
    expect([check(0.09, 20.0, kind: 'strap'), check(0.11, 20.0, kind: 'strap')].map(&:verdict)).to eq(%w[sound act])
  end

  # At 50 mV a meter of 0.5 % and 2 digits is off by 0.45 mV.
  it 'decides nothing within what the meter may be off' do
    expect([0.0496, 0.05, 0.0504].map { |volt| check(volt, 20.0).verdict }).to eq(%w[watch watch watch])
    expect([0.0490, 0.0510].map { |volt| check(volt, 20.0).verdict }).to eq(%w[sound act])
  end

  # 0.21 V over a joint at 7 A are 30 mohm; typed where millivolts belong they would be 0.03, a clean one.
  it 'asks whether volts were meant under a millivolt, which is what volts look like' do
    expect(check(0.00021, 7.0).question.options.map { |option| option[:value] }).to eq([0.21, nil])
    expect([check(0.0015, 310.0), check(0.0, 310.0)].map(&:question)).to eq([nil, nil])
  end

  # Half of the usual 600 A must have flowed.
  it 'asks for half the cranking current where the starter returns through it' do
    expect([check(0.02, 200.0, starts: true), check(0.02, 320.0, starts: true)].map(&:verdict)).to eq(%w[unproven sound])
    expect(check(0.02, 200.0, starts: true).words).to eq('20 mV at 200 A, 0.1 mohm: too little flowed, read it at 300 A or more')
  end

  it 'refuses a drop without a current, below zero, or over the system' do
    [[0.1, 0.0], [-0.1, 10.0], [13.0, 10.0]].each do |volt, ampere|
      expect { check(volt, ampere) }.to raise_error(Wattomneum::InvalidQuantityError)
    end
  end
end
