# frozen_string_literal: true

RSpec.describe Server::Routes::Stops do
  before { sign_in_as('electrician') }

  let(:unit) { a_unit(arrangement: 'single', battery_count: 1) }
  let(:version) { Server::Models::Sheet.bring_in(Wattomneum::Circuits::Library::TEXTS.fetch('engine_stop')) }
  let(:fitted) { Server::Models::UnitSheet.fit(unit, version, at: Time.now.utc - 60) }

  def device = version.to_core.part('Y5').uuid
  def stop(about = fitted) = read("/api/circuits/#{about.id}/stops")['stops'].first
  def way(key) = stop['asked'].find { |one| one['key'] == key }

  def prove(key, outcome, seconds: nil, **rest)
    write(:post, "/api/circuits/#{fitted.id}/stop-proofs",
          { id: SecureRandom.uuid, device: device, asked: key, outcome: outcome, seconds: seconds, **rest })
  end

  def answer(words) = write(:post, "/api/circuits/#{fitted.id}/stop-answers", { id: SecureRandom.uuid, device: device, words: words })

  it 'says of a sheet by itself what stops the engine, what will not, and whose feed is borrowed' do
    shown = stop(version)
    expect(shown['asked'].map { |one| one.values_at('key', 'stops', 'trial') })
      .to eq([['isolator_on', true, nil], ['off', true, nil], ['S5', true, nil], ['S6', true, nil]])
    welded = shown['rows'].find { |row| row['label'].include?('welded') }
    expect(welded).to eq('label' => 'K4 Fuel solenoid relay, contact 30 to 87 welded', 'how' => 'stuck', 'running' => true,
                         'fails' => %w[isolator_on S5 S6], 'nothing_stops' => false)
    expect([shown['findings'], shown['borrowed'].last]).to eq([4, { 'fuse' => 'F7 Side lamps (and fuel solenoid)', 'others' => ['Side lamps'] }])
    write(:post, "/api/circuits/#{version.id}/stop-proofs", { id: SecureRandom.uuid, device: device, asked: 'S5', outcome: 'stopped' })
    expect(status).to eq(404)
  end

  it 'keeps how each way was seen to stop it, the last trial first' do
    prove('S5', 'stopped', seconds: 2.5)
    expect(status).to eq(201)
    expect(way('S5')['trial']).to include('outcome' => 'stopped', 'seconds' => 2.5, 'person' => 'Spec electrician')
    expect(way('S6')['trial']).to be_nil
    expect(read("/api/units/#{unit.id}")['notices']).to eq([])
  end

  it 'holds the unit where it ran on, until a lead lifts that' do
    2.times { prove('S6', 'ran_on') }
    notice, *more = read("/api/units/#{unit.id}")['notices']
    expect(more).to eq([])
    expect(notice).to include('what' => 'Does not stop: Stop button at the rear pressed', 'severity' => 'holds')
    write(:post, "/api/notices/#{notice['id']}/end", { reason: 'Button renewed' })
    expect(status).to eq(403)
    sign_in_as('lead')
    write(:post, "/api/notices/#{notice['id']}/end", { reason: 'Button renewed' })
    expect(status).to eq(200)
    prove('S6', 'stopped')
    expect(way('S6')['trial']['outcome']).to eq('stopped')
  end

  it 'lets a lead answer what will not stop it, and asks anew when the circuit is another one' do
    answer('The hand lever stops it')
    expect(status).to eq(403)
    sign_in_as('lead')
    expect(answer('The hand lever on the pump stops it')['stops'].first['answer']).to include('words' => 'The hand lever on the pump stops it')
    sheet = version.to_core
    say_otherwise(fitted, sheet.wire('16'), 'length_m', '2')
    expect(stop['answer']).to include('person' => 'Spec lead')
    # Past the rear button: it stops nothing any more.
    say_otherwise(fitted, sheet.wire('13'), 'from', 'S5:2')
    expect([way('S6')['stops'], stop['answer']]).to eq([false, nil])
  end

  it 'refuses a way that is none, seconds that are none, and a reader' do
    prove('S99', 'stopped')
    expect([status, error['message']]).to eq([404, 'It is not asked to stop that way'])
    prove('S5', 'stopped', seconds: -1)
    expect([status, error['fields'].keys]).to eq([422, ['seconds']])
    prove('S5', 'perhaps')
    expect([status, error['fields'].keys]).to eq([422, ['outcome']])
    write(:post, "/api/circuits/#{fitted.id}/stop-proofs", { id: SecureRandom.uuid, device: SecureRandom.uuid, asked: 'S5', outcome: 'stopped' })
    expect(status).to eq(404)
    sign_in_as('reader')
    prove('S5', 'stopped')
    expect([status, read("/api/circuits/#{fitted.id}/stops").keys]).to eq([403, ['stops']])
  end
end
