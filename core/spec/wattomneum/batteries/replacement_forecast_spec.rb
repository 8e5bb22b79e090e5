# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::ReplacementForecast do
  def forecast(*pairs, counts: true)
    described_class.new(pairs.map { |day, health| described_class::Point.new(day: day.to_f, health_percent: health.to_f, counts: counts) })
  end

  it 'crosses 60 % where a straight decline does' do
    expect(forecast([0, 100], [100, 90], [200, 80]).crossing_day).to be_within(1).of(400)
  end

  it 'says why there is none: too few readings, too short a span' do
    expect(forecast([0, 100], [90, 95]).missing).to eq('3 readings are needed, 2 count')
    expect(forecast([0, 100], [10, 99], [20, 98]).missing).to include('60 days are needed')
  end

  it 'leaves out readings that do not count' do
    expect(forecast([0, 100], [100, 90], [200, 80], counts: false).missing).to include('0 count')
  end

  it 'forecasts nothing for a battery that does not fall, or that reaches it beyond five years' do
    expect(forecast([0, 90], [100, 91], [200, 92]).crossing_day).to be_nil
    expect(forecast([0, 100], [300, 99.5], [600, 99]).crossing_day).to be_nil
  end

  it 'brackets the day by its interval' do
    early, late = forecast([0, 100], [60, 96], [120, 88], [180, 86], [240, 79]).crossing_interval
    expect(early).to be < forecast([0, 100], [60, 96], [120, 88], [180, 86], [240, 79]).crossing_day
    expect(late).to be_nil.or be > early
  end
end
