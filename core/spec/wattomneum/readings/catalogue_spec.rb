# frozen_string_literal: true

RSpec.describe Wattomneum::Readings::Catalogue do
  let(:definitions) { Wattomneum::Evidence::Conditions::DEFINITIONS }

  described_class::ALL.each do |test|
    it "knows all that #{test.key} names" do
      judge = test.judge&.split('::')&.reduce(Wattomneum) { |space, name| space.const_get(name) }
      expect(judge).to test.along_circuit? ? be_nil : be < Wattomneum::Evidence::Judge
      expect(definitions.keys).to include(*test.asked_conditions(parallel_pair)) unless test.asked_conditions(parallel_pair).empty?
      expect { Wattomneum::Safety::Cautions.fetch_all(test.cautions) }.not_to raise_error
      expect { [test.from, test.to].compact.each { |place| Wattomneum::Circuits::Roles.fetch(place) } }.not_to raise_error
      expect { test.limit && parallel_pair.limit(test.limit) }.not_to raise_error
      expect(described_class::STATES.keys).to include(*test.states)
      expect(described_class::INSTRUMENTS).to include(test.instrument)
    end

    it "says how #{test.key} is taken and what its answers mean, with no limit left unfilled" do
      expect(test.how(series_pair).size).to be > 15
      expect(test.answers(series_pair)).not_to be_empty
      expect(test.answers(series_pair).flat_map(&:values).join).not_to include('{')
    end
  end

  # A figure that a fleet may set is written in from its limit, so that a card never says another one than is judged by.
  it 'writes no volts and no percent of its own on a card' do
    rows = Wattomneum::DataFile.load('tests')
    texts = rows.flat_map { |row| [row['how'], *row.fetch('answers', []).flat_map(&:values)] }
    expect(texts.grep(/\d ?(V|%|mohm)\b/).grep_v(/\A0 V\z/)).to eq([])
  end

  it 'follows the limit that a fleet sets, in volts too where it is a share of charge' do
    limits = Wattomneum::Limits::Table.shipped.with('battery.charge_least' => 70.0)
    said = ->(table) { described_class.fetch('rest_voltage').answers(parallel_pair, limits: table).first.values }
    expect(said.call(Wattomneum::Limits::Table.shipped)).to eq(['12.45 V or more', 'at least 75 % charged: the battery may be tested'])
    expect(said.call(limits)).to eq(['12.41 V or more', 'at least 70 % charged: the battery may be tested'])
  end

  # The pad beside it is in milliamperes.
  it 'writes less than an ampere as meters show it' do
    shown = described_class.fetch('draw_asleep').answers(parallel_pair)
    expect(shown.map { |answer| answer[:when] }).to eq(['50 mA or less', 'Up to 120 mA', 'More'])
  end

  it 'offers only the tests that make sense on a unit, and none of those that circuits took the place of' do
    keys = described_class.for(single_battery).map(&:key)
    expect(keys).to include('positive_drop')
    expect(keys).not_to include('sense_feed')
    expect(described_class.for(parallel_pair).map(&:key) & described_class::OLD.map(&:key)).to eq([])
  end

  # The frozen meaning of readings that were taken by tests nobody asks for any more.
  it 'still knows between which two places every old test was read, while cranking' do
    sheet = usual_machine(parallel_pair).sheet
    meant = described_class::OLD.select(&:along_circuit?).to_h do |test|
      [test.key, test.probe(sheet)&.then do |one|
        [one.from, one.to, one.situation]
      end]
    end
    expect(meant).to eq('positive_clamp_drop' => %w[BAT_A:+ S1:1 cranking], 'isolator_drop' => %w[S1:1 S1:2 cranking],
                        'starter_cable_drop' => %w[S1:2 K2:30 cranking], 'positive_cable_drop' => %w[BAT_A:+ K2:30 cranking],
                        'starter_mount_drop' => %w[M1:case BLOCK:metal cranking], 'block_strap_drop' => %w[BLOCK:metal FRAME:metal cranking],
                        'negative_cable_drop' => %w[FRAME:metal BAT_A:- cranking])
  end

  it 'takes volts between the two places of a test for that test, however they were entered, and no others' do
    sheet = usual_machine(parallel_pair).sheet
    probe = ->(from, to, situation, *opened) { Wattomneum::Readings::Probe.new(by: 'volts', from: from, to: to, situation: situation, opened: opened) }
    expect(described_class.along(probe.call('BAT_A:-', 'M1:case', 'cranking'), sheet).key).to eq('ground_drop')
    expect(described_class.along(probe.call('G:S', 'BAT_A:-', 'key_on', 'G'), sheet).key).to eq('sense_feed')
    expect([probe.call('G:S', 'BAT_A:-', 'key_on'), probe.call('BAT_A:-', 'M1:case', 'key_on'),
            probe.call('FRAME:metal', 'BAT_A:-', 'cranking')].map { |one| described_class.along(one, sheet) }).to eq([nil, nil, nil])
  end

  it 'asks for batteries tested alone only where there is a bank' do
    test = described_class.fetch('battery_test')
    expect(test.required_conditions(single_battery)).not_to include('tested_alone')
    expect(test.required_conditions(series_pair)).to include('tested_alone')
  end

  it 'refuses a test it does not hold' do
    expect { described_class.fetch('tea_leaves') }.to raise_error(Wattomneum::UnknownKeyError)
  end
end
