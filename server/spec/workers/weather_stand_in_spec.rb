# frozen_string_literal: true

require 'rack/builder'
require_relative '../../../demo/weather'

# The simulated service, asked as the worker asks it.
RSpec.describe Demo::Weather do
  stand_in = Rack::MockRequest.new(Rack::Builder.parse_file(File.join(Server::ROOT, 'demo/weather.ru')))

  it 'tells the same night to whoever asks, colder where it is higher and in winter' do
    years = (Date.new(2025, 1, 1)..Date.new(2029, 12, 31)).to_a
    weather = described_class.new
    lows = described_class::PLACES.keys.map { |place| years.sum { |dawn| weather.night(place, dawn).low } }
    expect(lows).to eq(lows.sort)
    one, other = Array.new(2) { described_class.new.night('Stores', Date.new(2026, 11, 28)) }
    expect(one).to eq(other)
    expect(described_class.new.night('Stores', Date.new(2027, 7, 20)).low).to be > 2.0
  end

  it 'answers with JSON, and says what it was not asked rightly' do
    answer = stand_in.get("/night?place=Ridge+Camp&dawn=#{Date.today - 1}")
    expect([answer.status, JSON.parse(answer.body)]).to match([200, include('low_celsius' => be_a(Numeric), 'measured_celsius' => be_a(Numeric))])
    expect(JSON.parse(stand_in.get("/night?place=Ridge+Camp&dawn=#{Date.today + 1}").body)['measured_celsius']).to be_nil
    { '/night?place=Atlantis&dawn=2026-11-28' => 404, '/night?place=Stores&dawn=soon' => 400, '/night' => 400,
      '/else?place=Stores&dawn=2026-11-28' => 404 }.each { |path, code| expect([path, stand_in.get(path).status]).to eq([path, code]) }
  end
end
