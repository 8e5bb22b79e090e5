# frozen_string_literal: true

# Rounds: what is read of a unit without a job, judged as well as on one.
RSpec.describe Server::Routes::Rounds do
  before do
    Server::Models::Sheet.bring_in_shipped
    sign_in_as('electrician')
  end

  let(:unit) { a_unit }
  let(:warm) { { heater_cycle_over: 'yes', speed_as_stated: 'yes', batteries_up: 'yes', belt_looked_at: 'yes' } }

  def round(kind = 'charge') = read("/api/units/#{unit.id}/rounds/#{kind}")
  def step(key, kind: 'charge', position: nil) = round(kind)['steps'].find { |one| one['test']['key'] == key && one['position'] == position }

  def take(test_key, text, kind: 'charge', conditions: {}, **rest)
    write(:post, "/api/units/#{unit.id}/rounds/#{kind}/readings",
          { id: SecureRandom.uuid, test_key: test_key, value_text: text, conditions: conditions, **rest })
  end

  it 'walks a charging session: each reading judged, each step counted from the one before' do
    take('posts_rest', '12.6')
    take('charging_idle', '13.3', conditions: warm)
    take('charging_fast_idle', '14.2', conditions: { **warm, battery_temperature_celsius: 18 })
    take('dash_gauge', '13.7')
    take('charging_loaded', '13.95', conditions: warm)
    expect(status).to eq(201)
    expect(round['lines'].map { |line| line['label'] }).to eq(['Idle', 'Fast idle', 'Dash', 'Loads on'])
    expect(step('charging_fast_idle')['readings'].first).to include('spoken' => '14.20 V', 'judged' => include('verdict' => 'sound'))
    expect(round['lines'].last).to include('arithmetic' => '13.95 V - 14.20 V = -0.25 V', 'words' => 'the output carries the unit')
  end

  it 'reads what belongs to one crank in one act, or nothing of it' do
    write(:post, "/api/units/#{unit.id}/rounds/start/readings",
          { id: SecureRandom.uuid, test_key: 'posts_cranking', value_text: '10.4', conditions: { rest_volt: '12.6' },
            together: [{ id: SecureRandom.uuid, test_key: 'cranking_current', value_text: 'x' }] })
    expect([status, Server::Models::Reading.where(unit_id: unit.id).count]).to eq([422, 0])
    write(:post, "/api/units/#{unit.id}/rounds/start/readings",
          { id: SecureRandom.uuid, test_key: 'posts_cranking', value_text: '10.4',
            conditions: { rest_volt: '12.6', battery_temperature_celsius: '8' },
            together: [{ id: SecureRandom.uuid, test_key: 'cranking_current', value_text: '410' }] })
    expect(step('posts_cranking', kind: 'start')['readings'].map { |one| one['spoken'] }).to eq(['10.40 V', '410 A'])
  end

  it 'moves the forecast of cold starts' do
    take('posts_rest', '12.6', kind: 'start')
    expect { take('posts_cranking', '9.2', kind: 'start', conditions: { battery_temperature_celsius: '8' }) }
      .to(change { Server::Models::StartThreshold[unit.id]&.read_at })
  end

  it 'reads each battery by itself, and what it is worth moves with it' do
    battery = Server::Models::Fitting.current.first(unit_id: unit.id, position: 'A').battery
    take('rest_voltage', '12.62', kind: 'batteries', position: 'A',
conditions: { hours_rested: '9', tested_alone: 'yes', surface_charge_removed: 'yes' })
    take('battery_test', '500', kind: 'batteries', position: 'A',
         conditions: { tested_alone: 'yes', surface_charge_removed: 'yes', battery_temperature_celsius: '12' })
    expect(Server::Models::BatteryState[battery.id]).to have_attributes(health_percent: 62.5, verdict: 'watch')
    first = step('battery_test', kind: 'batteries', position: 'A')['readings'].first
    write(:post, "/api/units/#{unit.id}/rounds/batteries/readings/#{first['id']}/withdrawal", { reason: 'wrong battery' })
    expect([status, step('battery_test', kind: 'batteries', position: 'A')['readings']]).to eq([200, []])
    expect(Server::Models::BatteryState[battery.id]).to have_attributes(health_percent: nil)
  end

  it 'asks about odd figures as a job does, and goes on when they are confirmed' do
    take('posts_rest', '1.26')
    expect([status, error['question']['text']]).to match([422, /unusual here/])
    take('posts_rest', '1.26', conditions: { value_confirmed: 'yes' })
    expect(status).to eq(201)
  end

  it 'refuses what no round is, points without a job, another unit\'s reading, and people who may not' do
    expect([read("/api/units/#{unit.id}/rounds/oil") && status, read("/api/units/#{SecureRandom.uuid}/rounds/charge") && status]).to eq([404, 404])
    write(:post, "/api/units/#{unit.id}/rounds/charge/readings",
          { id: SecureRandom.uuid, value_text: '1', probe: { by: 'volts', from: 'a', to: 'b', situation: 'off' } })
    expect([status, error['message']]).to match([422, /open a job/])
    take('posts_rest', '12.6')
    other = a_unit
    write(:post, "/api/units/#{other.id}/rounds/charge/readings/#{Server::Models::Reading.where(unit_id: unit.id).get(:id)}/withdrawal",
          { reason: 'x' })
    expect(status).to eq(404)
    sign_in_as('driver')
    take('posts_rest', '12.6')
    expect(status).to eq(403)
  end

  it 'refuses what only a job can hold, and a unit that is retired' do
    take('posts_rest', '12.6', conditions: { repair_undone: 'yes' })
    expect([status, error['message']]).to match([422, /on a job only/])
    Server::Models::Unit.where(id: unit.id).update(retired_at: Time.now.utc)
    take('posts_rest', '12.6')
    expect([status, error['message']]).to match([422, /is retired/])
  end

  it 'judges what waited on a device with what was read on its own day, and shows today without it' do
    yesterday = (Time.now.utc - 86_400).iso8601
    take('posts_rest', '12.6', taken_at: yesterday)
    take('charging_idle', '13.3', conditions: warm, taken_at: yesterday)
    summary = Server::Models::Judgement.newest_of(Server::Models::Reading.where(unit_id: unit.id,
                                                                                test_key: 'charging_idle').select_map(:id)).values.first
    expect([status, summary.verdict, step('charging_idle')['readings']]).to eq([201, 'sound', []])
  end

  # By hand: slopes over 100 days -0.15 (three), -0.133, -0.125, -0.1: their median -0.142, 0.52 V a year.
  it 'tells a regulated voltage that drifts, over the readings of a year' do
    [14.4, 14.3, 14.15, 14.0].each_with_index do |volt, index|
      take('charging_fast_idle', volt.to_s, conditions: { **warm, battery_temperature_celsius: '25' },
taken_at: (Time.now.utc - ((300 - (index * 100)) * 86_400)).iso8601)
    end
    expect(round['drift']).to include('verdict' => 'watch', 'words' => /It falls, -0.52 V a year/, 'points' => have_attributes(size: 4))
  end

  it 'says beside a verdict what sound sister units read in like conditions, and where it lies apart from them' do
    sisters = Array.new(4) { a_unit(make: 'Spec', model: 'alike') }
    sisters.zip([10.6, 10.7, 10.6, 10.5], [8, 9, 7, 10]).each { |sister, volt, celsius| crank(sister, volt, celsius) }
    crank(a_unit(make: 'Spec', model: 'alike'), 9.9, 35)
    mine = a_unit(make: 'Spec', model: 'alike')
    crank(mine, 9.7, 8)
    found = read("/api/units/#{mine.id}/rounds/start")['steps'].find { |one| one['test']['key'] == 'posts_cranking' }['readings'].first
    expect(found['sisters']).to match('words' => /\ASound sister units: 10.60 V, give or take .* \(4 of them\)\z/, 'far' => true)
    expect(found['judged']['verdict']).not_to eq('unproven')
  end

  def crank(unit, volt, celsius)
    write(:post, "/api/units/#{unit.id}/rounds/start/readings",
          { id: SecureRandom.uuid, test_key: 'posts_cranking', value_text: volt.to_s,
            conditions: { battery_temperature_celsius: celsius.to_s, rest_volt: '12.6' } })
  end

  it 'keeps rounds of different days apart in a crank test' do
    old = (Time.now.utc - (200 * 86_400)).iso8601
    take('posts_rest', '12.7', kind: 'start', taken_at: old)
    take('posts_cranking', '9.9', kind: 'start', conditions: { battery_temperature_celsius: '8' })
    rounds = Server::Queries::CrankRounds.new(unit.id, since: nil).all
    expect(rounds).to eq([])
  end
end
