# frozen_string_literal: true

# What belongs to one round: the readings of a unit without a job, on one day by the clock of its yard.
RSpec.describe Server::Queries::RoundRecord do
  before { sign_in_as('electrician') }

  let(:unit) { a_unit.tap { |one| one.yard.update(time_zone: 'Pacific/Auckland') } }

  def take(key, text, at:)
    write(:post, "/api/units/#{unit.id}/rounds/charge/readings",
          { id: SecureRandom.uuid, test_key: key, value_text: text, taken_at: at.iso8601,
            conditions: { heater_cycle_over: 'yes', speed_as_stated: 'yes' } })
    raise last_response.body unless status == 201
  end

  def record(at) = described_class.new(Server::Models::Unit.where(id: unit.id).eager(:yard).first, at: at)

  # Half past ten in the evening and half past one at night in Auckland, which is one day in London.
  it 'ends at the midnight of the yard, not of London' do
    evening = Time.utc(2026, 8, 10, 10, 30)
    night = Time.utc(2026, 8, 10, 13, 30)
    take('posts_rest', '12.6', at: evening)
    take('charging_idle', '13.4', at: night)
    expect([evening, night].map { |at| record(at).readings.map(&:test_key) }).to eq([['posts_rest'], ['charging_idle']])
    expect([record(evening).day, record(night).day]).to eq([Date.new(2026, 8, 10), Date.new(2026, 8, 11)])
    expect(described_class.sittings(Server::Models::Reading.where(Sequel[:reading][:unit_id] => unit.id)).size).to eq(2)
  end

  it 'leaves out what belongs to a job, and what was withdrawn' do
    job = open_job(unit)['id']
    write(:post, "/api/jobs/#{job}/readings", { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.4' })
    now = Time.now.utc
    take('posts_rest', '12.6', at: now)
    expect(record(now).readings.map(&:value)).to eq([12.6])
    write(:post, "/api/units/#{unit.id}/rounds/charge/readings/#{record(now).readings.first.id}/withdrawal", { reason: 'x' })
    expect(record(now).readings).to eq([])
  end

  it 'is visited once a day with its unit held, for whatever readings are named' do
    now = Time.now.utc
    take('posts_rest', '12.6', at: now)
    take('charging_idle', '13.4', at: now)
    seen = []
    described_class.each_of(Server::Models::Reading.where(Sequel[:reading][:unit_id] => unit.id)) { |round| seen << round.readings.size }
    expect(seen).to eq([2])
  end
end
