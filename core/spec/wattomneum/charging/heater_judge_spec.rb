# frozen_string_literal: true

RSpec.describe Wattomneum::Charging::HeaterJudge do
  # 0.7 V at 12 V is a heater; where it is warm no dip may only mean that nobody asked for heat.
  it 'hears a heater, and convicts a silent one in the frost only' do
    at = lambda { |celsius, volt|
      judge(reading('posts_rest', 12.6), reading('posts_heater', volt, conditions: { 'engine_temperature_celsius' => celsius })).verdict
    }
    expect([at.call(-10, 11.9), at.call(-10, 12.58), at.call(15, 12.58)]).to eq(%w[sound act watch])
  end

  it 'wants the posts at rest first' do
    expect([judge(reading('posts_heater', 11.9))].map { |one| [one.verdict, one.validity] }).to eq([%w[unproven void]])
  end

  it 'is asked of engines with a heat aid only' do
    test = Wattomneum::Readings::Catalogue.fetch('posts_heater')
    plain = Wattomneum::Units::ElectricalSystem.new(system_volt: 12, arrangement: 'single', battery_count: 1, usual_cranking_current_ampere: 400.0,
                                                    heat_aid: false)
    expect([test.fits?(parallel_pair), test.fits?(plain)]).to eq([true, false])
  end
end
