# frozen_string_literal: true

# One history of a unit's start: what was done to it counts from its own day on, and one more morning is heard as all of them would be.
RSpec.describe Server::Routes::Mornings do
  before { sign_in_as('electrician') }

  let(:unit) { a_unit }

  def threshold = Server::Models::StartThreshold[unit.id]
  def today = Date.today
  def said(kind, on: today) = write(:post, "/api/units/#{unit.id}/start-changes", { id: SecureRandom.uuid, kind: kind, on: on.iso8601 })
  def chance(low) = threshold.evening(low_celsius: low, day_before_celsius: low + 4.0).chance(low)

  def dawn(outcome, days_ago, low: -6.0)
    write(:put, "/api/yards/#{yard.id}/night", { dawn: (today - days_ago).iso8601, low_celsius: low, day_before_celsius: low + 4.0, confirmed: true })
    write(:post, '/api/mornings', { dawn: (today - days_ago).iso8601, entries: [{ unit_id: unit.id, outcome: outcome }] })
    expect(status).to eq(201)
  end

  def heard_anew
    kept = threshold.values.slice(:celsius, :variance, :mornings)
    Server::Models::StartThreshold.hear_all([unit.id])
    expect(threshold.values.slice(:celsius, :variance, :mornings)).to match(kept.transform_values { |value| be_within(1e-6).of(value) })
  end

  it 'hears one more morning, the same one said otherwise, and one of days ago as if all were told at once' do
    dawn('started', 9, low: -4.0)
    heard_anew
    dawn('failed', 5, low: -9.0)
    heard_anew
    failed = threshold.celsius
    dawn('started', 5, low: -9.0)
    expect(threshold.celsius).to be < failed
    heard_anew
    dawn('slow', 7, low: -5.0)
    heard_anew
    expect(threshold.mornings).to eq(3)
  end

  it 'is less sure of a unit whose oil was changed, expects more of one that was given a heater, and says since when' do
    3.times { |index| dawn('failed', 6 - index) }
    before = [threshold.variance, chance(-8.0)]
    said('oil')
    expect(status).to eq(201)
    expect(threshold.variance).to be > before.first
    said('heater')
    expect(chance(-8.0)).to be < before.last
    expect(read("/api/units/#{unit.id}/start")['changes'].map { |one| one['words'] }).to eq(['heater fitted or mended', 'oil changed'])
    heard_anew
  end

  it 'charges no battery that came in at noon with the dawn of that day' do
    said_of_old = Array.new(4) { |index| dawn('failed', 5 - index) }.size
    expect(said_of_old).to eq(4)
    dawn('failed', 0)
    failing = chance(-6.0)
    battery = { id: SecureRandom.uuid, tag: "N#{SecureRandom.hex(3)}", type: 'flooded', rating_ampere: 800.0, rating_standard: 'SAE' }
    write(:post, "/api/units/#{unit.id}/fittings/A/take-off")
    write(:post, "/api/units/#{unit.id}/fittings", { position: 'A', battery: battery })
    expect(chance(-6.0)).to be < failing - 0.1
    heard_anew
  end

  it 'refuses a day that is yet to come and a change that nobody knows, and changes nothing' do
    said('oil', on: today + 3)
    expect([status, error['fields']]).to match([422, { 'on' => [/is after/] }])
    said('paint')
    expect([status, error['fields'].keys]).to eq([422, ['kind']])
    expect(Server::Models::StartChange.where(unit_id: unit.id)).to be_empty
  end

  it 'keeps what was said of it for good' do
    said('oil')
    expect { Server::Models::StartChange.where(unit_id: unit.id).delete }.to raise_error(Sequel::DatabaseError)
  end
end
