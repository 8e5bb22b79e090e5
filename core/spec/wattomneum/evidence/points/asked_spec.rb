# frozen_string_literal: true

RSpec.describe Wattomneum::Evidence::Points::Asked do
  def asked(sheet, method, from, to, situation: 'key_on', opened: [])
    machine = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(sheet))
    tests = Wattomneum::Evidence::Circumstances.new(system: series_pair, readings: [])
    circumstances = Wattomneum::Evidence::Points::Circumstances.new(machine: machine, readings: [], tests: tests)
    probe = Wattomneum::Readings::Probe.new(by: method, from: from, to: to, situation: situation, opened: opened)
    described_class.of(probe, circumstances)
  end

  it 'asks for the current of a drop, for the posts beside a feed and for a proved meter where 0 V would convict' do
    expect(asked('fuel_pump', 'volts', 'K11:87', 'X8:a/1')).to eq(%w[current_ampere load_on])
    expect(asked('fuel_pump', 'volts', 'K11:87', 'BAT:-')).to eq(%w[posts_now_volt meter_proved load_on])
    expect(asked('fuel_pump', 'volts', 'X8:a/1', 'BAT:-', opened: ['X8'])).to eq(%w[posts_now_volt meter_proved load_on])
    expect(asked('fuel_pump', 'volts', 'BAT:+', 'BAT:-')).to eq(%w[meter_proved])
  end

  it 'asks for no lamp beside what a starter moves' do
    expect(asked('start_12v', 'volts', 'K2:30', 'BAT_A:-', situation: 'cranking')).to eq(%w[posts_now_volt meter_proved])
    expect(asked('start_12v', 'volts', 'BLOCK:metal', 'FRAME:metal', situation: 'cranking')).to eq(%w[current_ampere])
  end

  it 'asks for the volts and the turned leads of ohms, and for nothing beside what is only seen' do
    expect(asked('fuel_pump', 'ohms', 'X8:b/1', 'X8:b/2', situation: 'stopped', opened: ['X8'])).to eq(%w[voltage_across_volt reversed_ohm])
    expect(asked('fuel_pump', 'current', 'K11:30', 'K11:87')).to eq([])
  end
end
