# frozen_string_literal: true

RSpec.describe Wattomneum::Cranking::Trace::Comparison do
  let(:before) { { settled_volt: 10.6, lowest_volt: 7.0, settled_ampere: 400.0, rpm: 170.0, bank_ohm: 0.005 } }
  let(:lone) { { system_volt: 12, arrangement: 'single', battery_count: 1, usual_cranking_current_ampere: 400.0 } }

  def lines(now, celsius: [5.0, 5.0])
    system = Wattomneum::Units::ElectricalSystem.new(**lone)
    described_class.new(before.merge(now), before, system: system, celsius: celsius)
  end

  def words(now) = lines(now).lines.to_h { |line| [line.label, line.words] }

  # 2 % of 12 V is 0.24 V; 8 % of 400 A is 32 A, of 170 rpm 13.6.
  it 'says as then within what two starts differ by, and how much beyond' do
    expect(words(settled_volt: 10.4, settled_ampere: 430.0, rpm: 160.0).values_at('Posts, settled', 'Current, settled',
                                                                                  'Speed')).to all(eq('as then'))
    expect(words(settled_volt: 10.3, settled_ampere: 440.0, rpm: 150.0).values_at('Posts, settled', 'Current, settled', 'Speed'))
      .to eq(['0.30 V less', '40 A more', '20 rpm less'])
  end

  it 'leaves out what one of the two has not' do
    expect(lines({ rpm: nil }).lines.map(&:label)).to eq(['Posts, settled', 'Lowest posts', 'Current, settled', 'Bank with its posts'])
  end

  it 'says where the two are no like conditions' do
    expect([lines({}).caution, lines({}, celsius: [5.0, 13.0]).caution]).to eq([nil, nil])
    expect(lines({}, celsius: [-8.0, 13.0]).caution).to include('-8 degC now, 13 degC then', 'cold alone')
    expect(lines({}, celsius: [nil, 13.0]).caution).to eq('The temperature of one of the two was not said')
  end
end
