# frozen_string_literal: true

RSpec.describe Server::Models::UnitStanding do
  before { sign_in_as('electrician') }

  def row(unit) = described_class[unit.id]

  let(:turning) { { value_confirmed: 'yes', engine_meanwhile: 'cranks' } }
  let(:unit) { a_unit(usual_cranking_current_ampere: 400.0) }

  it 'stands from the first day on, with nothing read' do
    expect(row(unit).to_hash).to include(battery_percent: nil, charging_at: nil, path_at: nil, ground_at: nil, faults: 0, again: nil)
  end

  # By Ohm: 0.24 V over the way there at 400 A is 0.6 mΩ. The limit of 0.5 V is common practice.
  it 'follows a reading and its withdrawal' do
    job = open_job(unit)
    take(job['id'], 'positive_drop', '0.24', conditions: turning)
    expect(row(unit).to_hash).to include(feed_milliohm: nil, path_verdict: 'unproven')
    take(job['id'], 'cranking_current', '410', conditions: turning)
    expect(row(unit).to_hash).to include(feed_milliohm: be_within(1e-9).of(0.6), return_milliohm: nil, path_verdict: 'sound')
    take(job['id'], 'ground_drop', '0.6', conditions: turning)
    expect(row(unit).to_hash).to include(return_milliohm: be_within(1e-9).of(1.5), path_verdict: 'act')
    reading = read("/api/jobs/#{job['id']}")['readings'].find { |one| one['test_key'] == 'ground_drop' }
    write(:post, "/api/readings/#{reading['id']}/withdrawal", { reason: 'Slipped off' })
    expect(row(unit).to_hash).to include(return_milliohm: nil, path_verdict: 'sound')
  end

  it 'says no milliohms of an engine that stood still: nobody knows what flowed' do
    job = open_job(unit)
    take(job['id'], 'positive_drop', '11.4', conditions: { value_confirmed: 'yes', engine_meanwhile: 'does not turn' })
    expect(row(unit).to_hash).to include(feed_milliohm: nil, path_verdict: 'act')
  end

  # Reference: 14.95 V at -5 degC is 14.41 V at 25 degC, by -18 mV a degree (handbook, from memory).
  it 'holds the charging volts against their band as they would be at 25 degC' do
    job = open_job(unit)
    take(job['id'], 'charging_fast_idle', '14.95', conditions: { battery_temperature_celsius: -5 })
    expect(row(unit).to_hash).to include(charging_volt: be_within(0.001).of(14.41), charging_low_volt: 13.8, charging_high_volt: 14.7)
  end

  it 'is worked out anew to the same' do
    job = open_job(unit)
    take(job['id'], 'ground_drop', '0.6', conditions: turning)
    before = row(unit).values.except(:worked_out_at)
    described_class.where(unit_id: unit.id).delete
    expect(described_class.work_out([unit.id])).to eq(1)
    expect(row(unit).values.except(:worked_out_at)).to eq(before)
  end
end
