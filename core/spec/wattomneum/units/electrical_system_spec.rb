# frozen_string_literal: true

RSpec.describe Wattomneum::Units::ElectricalSystem do
  def system(volt, arrangement, count)
    described_class.new(system_volt: volt, arrangement: arrangement, battery_count: count, usual_cranking_current_ampere: 300.0)
  end

  it 'takes one on 12 V, two to four in parallel on 12 V, and a series pair on 24 V' do
    expect([system(12, 'single', 1), system(12, 'parallel', 4),
            system(24, 'series', 2)].map(&:positions)).to eq([%w[A], %w[A B C D], %w[A B]])
  end

  [[24, 'single', 1], [12, 'parallel', 1], [12, 'parallel', 5], [24, 'parallel', 2], [12, 'series', 2], [24, 'series', 4]].each do |odd|
    it("refuses #{odd.join(' ')}") { expect { system(*odd) }.to raise_error(Wattomneum::InvalidQuantityError, /series pair on 24 V/) }
  end

  it 'may have no battery and no starter, and then no tests of them' do
    none = described_class.new(system_volt: 12, arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: nil)
    expect([none.starter?, none.battery?, none.positions]).to eq([false, false, []])
    expect(Wattomneum::Readings::Catalogue.for(none).map(&:key)).to not_include('posts_cranking', 'rest_voltage', 'cranking_behaviour')
    expect { described_class.new(system_volt: 12, arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: 300.0) }
      .to raise_error(Wattomneum::InvalidQuantityError, /none without a starter/)
    expect { single_battery(regulator: 'magic') }.to raise_error(Wattomneum::InvalidQuantityError, /regulator is one of internal/)
  end

  it 'names the parts that are mended as a whole, and still knows what repairs of the past were called' do
    hand_started = described_class.new(system_volt: 12, arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: nil)
    expect(Wattomneum::Units::Parts.of(parallel_pair).map(&:key)).to eq(%w[battery starter engine alternator belt])
    expect(Wattomneum::Units::Parts.of(hand_started).map(&:key)).to eq(%w[engine alternator belt])
    expect(Wattomneum::Units::Parts.fetch('block_strap').label).to eq('Strap, engine block to frame')
  end

  # By hand: six volts are half a block of six cells, 24 V are two, one in each battery of the pair; a pack of 48 V is four.
  it 'counts its blocks of six cells, in all and in each battery' do
    all = [system(6, 'single', 1), system(6, 'parallel', 2), system(12, 'parallel', 3), system(24, 'series', 2), system(48, 'single', 1)]
    expect(all.map(&:blocks_in_series)).to eq([0.5, 0.5, 1.0, 2.0, 4.0])
    expect(all.map(&:blocks_per_battery)).to eq([0.5, 0.5, 1.0, 1.0, 4.0])
  end

  it 'goes by lead and acid only where every battery is of them' do
    fitted = ->(*types) { parallel_pair(batteries: %w[A B].zip(types).to_h { |position, type| [position, battery(position, type: type)] }) }
    expect([fitted.call('agm', 'flooded'), fitted.call('flooded', 'lithium'), fitted.call('lithium', 'lithium')]
      .map { |one| [one.lead_acid?, one.lithium?] }).to eq([[true, false], [false, true], [false, true]])
    expect([system(48, 'single', 1).lead_acid?, system(48, 'single', 1).pack?]).to eq([false, true])
  end

  it 'has the ampere hours of all in parallel, and of one in series' do
    expect([system(12, 'parallel', 3), system(24, 'series', 2)].map { |one| one.capacity_ampere_hour(usual_ampere_hour: 90.0) }).to eq([270.0, 90.0])
  end

  it 'has an equaliser on the middle of a series pair only' do
    expect { parallel_pair(has_equaliser: true) }.to raise_error(Wattomneum::InvalidQuantityError, /middle of a series pair/)
    expect(series_pair(has_equaliser: true).has_equaliser).to be(true)
  end
end
