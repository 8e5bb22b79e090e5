# frozen_string_literal: true

require 'zlib'

# Crank traces: a start as an instrument wrote it, from the file to the forecast that it moves.
RSpec.describe Server::Routes::CrankTraces do
  before { sign_in_as('electrician') }

  let(:unit) { a_unit(system_volt: 12, arrangement: 'parallel', usual_cranking_current_ampere: 400.0) }

  def csv(**given)
    Wattomneum::Practice::CrankTrace.new(rest_volt: 12.6, bank_ohm: 0.005, ampere: 400.0, rpm: 170.0, cylinders: 6, seed: given.hash.abs,
**given).csv(hertz: 500.0)
  end

  def bring_in(text, type: 'text/csv', request_id: SecureRandom.uuid, unit_id: unit.id, **said)
    said = { id: SecureRandom.uuid, cylinders: 6, **said }.compact
    write(:post, "/api/units/#{unit_id}/crank-traces?#{URI.encode_www_form(said)}", text, request_id: request_id, type: type)
  end

  def traces(one = unit) = read("/api/units/#{one.id}/crank-traces")
  def figure(trace, key) = trace['figures'].find { |one| one['key'] == key }&.fetch('spoken')

  it 'reads it, judges it, draws it, and keeps what it settled at as readings of a crank round' do
    trace = bring_in(csv, cylinders: 6, celsius: '8')
    expect([status, trace['verdict'], figure(trace, 'settled_volt'),
            figure(trace, 'rpm')]).to match([201, 'sound', /10\.[56]\d V/, /1(69|70|71) rpm/])
    expect(trace['curve'].size).to be_between(300, 900)
    round = read("/api/units/#{unit.id}/rounds/start")['steps'].find { |one| one['test']['key'] == 'posts_cranking' }
    expect(round['readings'].map { |one| one['test_key'] }).to eq(%w[posts_cranking cranking_current cranking_speed])
    expect(round['readings'].first).to include('instrument' => 'oscilloscope', 'condition_line' => include('8 degC'))
  end

  it 'moves the forecast of cold starts' do
    expect { bring_in(csv(bank_ohm: 0.011), cylinders: 6, celsius: '8') }.to(change { Server::Models::StartThreshold[unit.id]&.celsius })
  end

  # A locked engine settles as well: 900 A and no ripple. A forecast by it would be one of a start that never was.
  it 'keeps nothing of what never turned as a reading, and moves no forecast by it' do
    before = Server::Models::StartThreshold[unit.id].values.except(:worked_out_at)
    locked = bring_in(csv(rpm: 0.0, ampere: 900.0), celsius: '8')
    expect([status, locked['remarks'].last['text']]).to match([201, /nothing shows that it turned/])
    expect(Server::Models::Reading.where(unit_id: unit.id).count).to eq(0)
    expect(Server::Models::StartThreshold[unit.id].values.except(:worked_out_at)).to eq(before)
  end

  it 'stands beside the last sound one, and says what changed' do
    bring_in(csv, cylinders: 6, celsius: '12', taken_at: (Time.now.utc - (30 * 86_400)).iso8601)
    now = bring_in(csv(bank_ohm: 0.0065, rpm: 150.0), celsius: '10')
    expect(now['before']['lines'].to_h { |line| [line['label'], line['words']] })
      .to include('Posts, settled' => /0\.6 V less|0\.(59|60|61) V less/, 'Speed' => /(19|20|21) rpm less/, 'Current, settled' => 'as then')
    expect(now['before']['caution']).to be_nil
  end

  it 'asks for cylinders once: the next trace and a sister unit know them' do
    sister = a_unit(make: 'Spec', model: 'six', system_volt: 12, arrangement: 'parallel')
    first = a_unit(make: 'Spec', model: 'six', system_volt: 12, arrangement: 'parallel')
    bring_in(csv, cylinders: nil, unit_id: first.id)
    expect([status, error['fields'].keys, traces(first)['traces']]).to eq([422, ['cylinders'], []])
    bring_in(csv, cylinders: 6, unit_id: first.id)
    expect([traces(first)['cylinders'], traces(sister)['cylinders'], traces['cylinders']]).to eq([6, 6, nil])
    expect(figure(bring_in(csv(seed: 2), cylinders: nil, unit_id: sister.id), 'rpm')).to include('rpm')
  end

  it 'takes it packed, and the same request again as one' do
    packed = Zlib.gzip(csv)
    request = SecureRandom.uuid
    id = SecureRandom.uuid
    2.times { bring_in(packed, type: 'application/gzip', request_id: request, id: id, cylinders: 6) }
    expect([status, traces['traces'].map { |one| one['id'] }]).to eq([201, [id]])
    bring_in(packed, cylinders: 6)
    expect([status, error['message']]).to match([422, /kept already/])
  end

  it 'asks what 12600 were, and goes on by the answer' do
    odd = csv.lines.drop(1).map { |line| line.split(',').then { |second, volt, _| "#{second},#{(volt.to_f * 1000).round}\n" } }.join
    bring_in("time,posts\n#{odd}")
    expect([status, error['question']['options'].map { |one| one['value'] }, traces['traces']]).to eq([422, [0.001], []])
    expect(figure(bring_in("time,posts\n#{odd}", factor: 0.001), 'settled_volt')).to match(/10\.[56]\d V/)
  end

  quiet = "time,posts\n#{(0..200).map { |n| "#{n / 100.0},12.6" }.join("\n")}"
  { 'no rows' => ['', /no rows/], 'a picture' => ["\x89PNG\r\n\x1A\n#{"\0" * 900}".b, /Line 1/],
    'a broken pack' => ["\x1F\x8Bxxxx".b, /cannot be unpacked/], 'a quiet trace' => [quiet, /no start/] }.each do |name, (text, message)|
    it("refuses #{name} with a sentence, and keeps nothing") do
      bring_in(text)
      expect([status, error['message'], traces['traces']]).to match([422, message, []])
    end
  end

  it 'refuses what is said wrongly of it, other types, and people who may not' do
    bring_in(csv, cylinders: 40)
    expect([status, error['fields'].keys]).to eq([422, ['cylinders']])
    bring_in(csv, celsius: 'warm')
    expect([status, error['fields'].keys]).to eq([422, ['celsius']])
    bring_in(csv, type: 'text/plain')
    expect([status, error['message']]).to match([400, /Send it as/])
    sign_in_as('driver')
    bring_in(csv)
    expect(status).to eq(403)
  end

  it 'refuses a trace of what has no starter' do
    winch = a_unit(arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: nil, alternator_rating_ampere: nil, has_isolator: false,
                   has_sense: false, batteries: false)
    bring_in(csv, unit_id: winch.id)
    expect([status, error['message']]).to match([422, /no starter/])
  end

  it 'takes text of a trace at no other address' do
    write(:post, "/api/units/#{unit.id}/notices", csv, type: 'text/csv')
    expect(status).to eq(400)
  end

  it 'never shows one unit\'s trace as the sound one of another' do
    other = a_unit(system_volt: 12, arrangement: 'parallel')
    bring_in(csv, cylinders: 6, unit_id: other.id, taken_at: (Time.now.utc - 86_400).iso8601)
    expect(bring_in(csv(seed: 3), cylinders: 6)['before']).to be_nil
    expect(read("/api/crank-traces/#{SecureRandom.uuid}") && status).to eq(404)
  end
end
