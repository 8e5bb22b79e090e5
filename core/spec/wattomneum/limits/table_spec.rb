# frozen_string_literal: true

RSpec.describe Wattomneum::Limits::Table do
  subject(:table) { described_class.shipped }

  it 'gives the row for the system voltage, and a common row where the figure does not depend on it' do
    expect(table.fetch('drop.positive_cranking', system_volt: 24).value).to eq(1.0)
    expect(table.fetch('battery.charge_least', system_volt: 24).value).to eq(75)
  end

  it 'has a 24 V row wherever it has a 12 V row: nothing is doubled in code' do
    ids = ->(volt) { table.to_a.select { |limit| limit.system_volt == volt }.map(&:id).sort }
    expect(ids.call(24)).to eq(ids.call(12))
  end

  it 'names a known kind of source and a source in every row' do
    expect(table.to_a.map(&:source_kind).uniq - %w[standard handbook practice ours]).to be_empty
    expect(table.to_a.map(&:source)).to all(match(/\w{4}/))
  end

  it 'takes what a fleet has set, and still tells what was shipped and why' do
    own = table.with('drop.ground_cranking@12' => 0.2)
    limit = own.fetch('drop.ground_cranking', system_volt: 12)
    expect([limit.value, limit.shipped_value, limit.source_kind, limit.unit]).to eq([0.2, 0.3, 'fleet', 'V'])
    expect(limit.source).to eq(table.fetch('drop.ground_cranking', system_volt: 12).source)
    expect([own.fetch('drop.ground_cranking', system_volt: 24).value, table.fetch('drop.ground_cranking', system_volt: 12).value]).to eq([0.3, 0.3])
  end

  it 'is as shipped again when a limit is set back, and leaves out limits that are no longer known' do
    back = table.with('drop.ground_cranking@12' => 0.2).with('drop.ground_cranking@12' => 0.3, 'gone@12' => 1.0)
    limit = back.fetch('drop.ground_cranking', system_volt: 12)
    expect([limit, back.to_a.size]).to eq([table.fetch('drop.ground_cranking', system_volt: 12), table.to_a.size])
  end

  it 'tells what was shipped, not what was set before, when a limit is set twice' do
    shipped = table.fetch('drop.ground_cranking', system_volt: 12)
    twice = shipped.as_set(0.2).as_set(0.25)
    expect([twice.value, twice.shipped_value, twice.source_kind]).to eq([0.25, 0.3, 'fleet'])
    expect(shipped.as_set(0.3)).to eq(shipped)
  end

  it 'keeps the order that rows ask for, as shipped' do
    table.to_a.select(&:under).each do |limit|
      expect(limit.value).to be < table.fetch(limit.under, system_volt: limit.system_volt).value, limit.row_id
    end
  end

  it 'refuses an id it does not hold' do
    expect { table.fetch('drop.nothing', system_volt: 12) }.to raise_error(Wattomneum::UnknownKeyError, /no limit drop.nothing/)
  end

  # Common practice, voltage drops with the circuit working.
  {
    'drop.connection' => [0.05, 0.05], 'drop.contact' => [0.2, 0.2], 'drop.positive_cranking' => [0.5, 1.0],
    'drop.ground_cranking' => [0.3, 0.3], 'drop.ground_network' => [0.1, 0.1], 'drop.alternator_output' => [0.3, 0.5],
    'drop.alternator_case' => [0.1, 0.1], 'cranking.posts_least' => [9.6, 19.2], 'cranking.signal_below_posts' => [1.0, 2.0],
    'charging.rise_least' => [0.5, 1.0], 'charging.loaded_least' => [13.4, 26.8], 'charging.ripple_peak' => [0.5, 1.0]
  }.each do |id, (twelve, twenty_four)|
    it "holds #{id} at #{twelve} V on 12 V and #{twenty_four} V on 24 V" do
      expect([12, 24].map { |volt| table.fetch(id, system_volt: volt).value }).to eq([twelve, twenty_four])
    end
  end

  # By hand: 0.5 V and 9.6 V of 12 V halved; on 48 V the drops of 24 V as they are, 27.8 to 28.6 V loaded twice over, and no figure of lead and acid.
  it 'has half of every figure of 12 V on 6 V, and of 24 V on 48 V only what is no matter of lead and acid' do
    expect(%w[drop.positive_cranking cranking.posts_least charging.rise_least].map do |id|
      table.fetch(id, system_volt: 6).value
    end).to eq([0.25, 4.8, 0.25])
    expect(%w[drop.positive_cranking drop.ground_cranking].map { |id| table.fetch(id, system_volt: 48).value }).to eq([1.0, 0.3])
    expect(table.fetch('charging.loaded_within', system_volt: 48).value).to eq(2 * table.fetch('charging.loaded_within', system_volt: 24).value)
    expect { table.fetch('charging.loaded_least', system_volt: 48) }.to raise_error(Wattomneum::UnknownKeyError, /for a 48 V system/)
    expect(table.fetch('cranking.posts_least', system_volt: 6).source).to start_with('half of the 12 V figure: ')
  end
end
