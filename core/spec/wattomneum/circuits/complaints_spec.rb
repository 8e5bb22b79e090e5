# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Complaints do
  def things(key) = described_class.new(Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(key))).all

  it 'is about whatever should work, in the situations in which it does, by the order of work it belongs to' do
    heater = things('heater').to_h { |thing| [thing.part, [thing.work, thing.situations.map(&:key)]] }
    expect(heater['U3']).to eq(['control_unit_power', %w[key_on isolator_open stopped cranking idle fast_idle fast_idle_loaded]])
    expect(heater['M3']).to eq(['auxiliary_load', %w[key_on stopped idle fast_idle fast_idle_loaded]])
    expect(things('cluster').to_h { |thing| [thing.part, thing.work] }['P1']).to eq('gauge')
    expect(things('engine_stop').to_h { |thing| [thing.part, thing.work] }['Y5']).to eq('stop_circuit')
  end

  it 'leaves starter and alternator to their own orders' do
    expect(things('start_24v').reject(&:of_loop).map(&:part)).to not_include('M1').and not_include('K2').and include('K1')
  end
end
