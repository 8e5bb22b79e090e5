# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drawing::Brief do
  def brief(key) = described_class.new(Wattomneum::Circuits::Library.fetch(key)).to_h
  def nodes(key) = brief(key)[:pieces].first[:nodes]
  def node(key, id) = nodes(key).find { |one| one[:id] == id }

  it 'writes what stands beside each sign: rating, body, ohms as people say them' do
    expect(%w[F1 S1].map { |id| node('start_24v', id).values_at(:title, :label) }).to eq([['F1 25 A', 'Key switch feed'], ['S1', 'Battery isolator']])
    expect(node('start_24v', 'G2')[:title]).to eq('G2 on FRAME')
    expect(%w[R1 U10 R10].map { |id| node('bus_backbone', id)[:title] }).to eq(['R1 120 ohm', 'U10 40 kohm', 'R10 180 kohm'])
    expect(nodes('start_24v').find { |one| one[:kind] == 'metal' }.values_at(:title, :label)).to eq(['BLOCK', ''])
  end

  it 'says which resistances end a data line, and of a switch which contacts it has' do
    expect(nodes('bus_backbone').select { |one| one[:terminates] }.map { |one| one[:id] }).to eq(%w[R1 R2])
    expect([node('start_24v', 'S2')[:contacts], node('start_24v', 'K1')[:contacts]]).to eq([[%w[30 15], %w[30 50]], nil])
  end

  it 'draws cables from 16 mm2 on thicker, and pairs what is twisted' do
    wires = brief('start_24v')[:wires].values.to_h { |wire| [wire[:number], wire[:thick]] }
    expect(wires.values_at('1', '16')).to eq([true, false])
    pairs = brief('bus_backbone')[:wires]
    high = pairs.values.find { |wire| wire[:number] == 'H1' }
    expect(pairs.fetch(high[:twisted_with])[:number]).to eq('L1')
  end

  it 'is plain data: nothing that JSON does not know, no reader of the sheet left in it' do
    Wattomneum::Circuits::Library.keys.each do |key| # rubocop:disable Style/HashEachMethods -- no hash
      told = brief(key)
      expect(JSON.parse(JSON.generate(told))).to eq(JSON.parse(JSON.generate(JSON.parse(JSON.generate(told))))), key
    end
  end

  it 'names the other sheet and the pin there on a flag' do
    flags = nodes('ecu_power').select { |one| one[:kind] == 'link' }
    expect(flags.map do |one|
      one.values_at(:title, :sheet, :at)
    end).to eq([['fuel pump, S2:15', 'fuel_pump', 'S2:15'], ['start 24v, S2:50', 'start_24v', 'S2:50']])
  end
end
