# frozen_string_literal: true

RSpec.describe Server::Routes::Sums do
  before { sign_in_as('reader') }

  it 'lists every sum with its formula and source, and works each out from its defaults' do
    sums = read('/api/sums')['sums']
    expect(sums.map { |sum| sum['source'] }).to all(match(/\w/))
    sums.reject { |sum| sum['key'] == 'full_field' }.each do |sum|
      expect(read("/api/sums/#{sum['key']}")['answer']).to match(/\w/), sum['key']
    end
  end

  it 'takes decimal commas, and says which input is no number' do
    expect(read('/api/sums/ghost_volts?supply_volt=12,0&shown_volt=10,4')['answer']).to eq('1.54 Mohm')
    read('/api/sums/ghost_volts?supply_volt=twelve')
    expect([status, error['fields']]).to match([422, { 'supply_volt' => [include('not a number')] }])
    read('/api/sums/ghost_volts?supply_volt=12&shown_volt=13')
    expect([status, error['fields'].keys]).to eq([422, ['shown_volt']])
  end

  it 'refuses a sum nobody has, and a full field before the circuit is known' do
    read('/api/sums/horoscope')
    expect([status, error['message']]).to eq([422, 'no sum is called horoscope'])
    read('/api/sums/full_field')
    expect(error['message']).to include('Find out first')
  end
end
