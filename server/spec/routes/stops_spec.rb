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
    expect(shown['findings'].first).to start_with('Nothing stops it if wire ')
    expect(shown['borrowed'].last).to eq('fuse' => 'F7 Side lamps (and fuel solenoid)', 'others' => ['Side lamps'])
    write(:post, "/api/circuits/#{version.id}/stop-proofs", { id: SecureRandom.uuid, device: device, asked: 'S5', outcome: 'stopped' })
    expect(status).to eq(404)
  end

  it 'keeps how each way was seen to stop it, the last trial first' do
    prove('S5', 'stopped', seconds: 2.5)
    expect(status).to eq(201)
    expect(way('S5')['trial']).to include('outcome' => 'stopped', 'seconds' => 2.5, 'person' => 'Spec electrician')
    expect(way('S6')['trial']).to be_nil
    expect(way('S5')['trial']).to include('verdict' => 'sound', 'words' => nil)
    prove('S5', 'stopped', seconds: 7.0)
    expect(way('S5')['trial']).to include('verdict' => 'watch', 'words' => /5 s at most/)
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

  describe 'what nobody answered' do
    # Of a demo fleet that may be there.
    before { Server::Models::StopFinding.dataset.delete }

    def found(about) = Server::Workers::FindStops.run(about.id)
    def unanswered = read('/api/circuits')['will_not_stop']
    def listed = read('/api/units')['units'].find { |one| one['id'] == unit.id }

    it 'stands once a sheet, in sentences, until a lead answers, and again when the circuit is another one' do
      others = Array.new(2) { a_unit(arrangement: 'single', battery_count: 1) }
      [fitted, *others.map { |one| Server::Models::UnitSheet.fit(one, version, at: Time.now.utc - 60) }].each { |one| found(one) }
      expect(unanswered.map { |one| one.values_at('title', 'label', 'units') }).to eq([[fitted.version.title, 'Fuel solenoid', 3]])
      expect(unanswered.first['words']).to eq(stop['findings'])
      sign_in_as('lead')
      answer('The hand lever on the pump stops it')
      later = Server::Models::UnitSheet.fit(a_unit(arrangement: 'single', battery_count: 1), version, at: Time.now.utc - 60)
      found(later)
      expect([unanswered, stop(later)['answer']['words']]).to eq([[], 'The hand lever on the pump stops it'])
      say_otherwise(fitted, version.to_core.wire('13'), 'from', 'S5:2')
      found(fitted.refresh)
      expect(unanswered.map { |one| one.values_at('fitted_id', 'units') }).to eq([[fitted.id, 1]])
    end

    it 'is no alarm about a unit: it holds none, and stands neither on Today nor on the unit' do
      found(fitted)
      expect(listed).to include('held' => false)
      expect(read('/api/today')['lines'].select { |line| line['path'].include?(unit.id) }).to eq([])
      expect(read("/api/units/#{unit.id}")['notices']).to eq([])
    end

    it 'is of units in service alone' do
      found(fitted)
      unit.update(retired_at: Time.now.utc)
      expect(unanswered).to eq([])
    end

    it 'is worked out behind the scenes when a sheet is fitted that names its stops, and for no other' do
      jobs = -> { Server::DB[:que_jobs].where(job_class: 'Server::Workers::FindStops').count }
      expect { fitted }.to change(&jobs).by(1)
      glow = Server::Models::Sheet.bring_in(Wattomneum::Circuits::Library::TEXTS.fetch('glow'))
      expect { Server::Models::UnitSheet.fit(unit, glow, at: Time.now.utc) }.not_to change(&jobs)
    end

    it 'is worked out for units that had the sheet before anybody looked, once' do
      fitted
      Server::DB[:que_jobs].delete
      Server::Models::UnitSheet.find_missing_stops
      expect(Server::DB[:que_jobs].where(job_class: 'Server::Workers::FindStops').select_map(:args).flatten).to include(fitted.id)
      Server::DB[:que_jobs].delete
      found(fitted)
      Server::Models::UnitSheet.find_missing_stops
      expect(Server::DB[:que_jobs].where(job_class: 'Server::Workers::FindStops').select_map(:args).flatten).not_to include(fitted.id)
    end

    it 'is gone with the sheet that named the stops' do
      found(fitted)
      expect(unanswered.size).to eq(1)
      without = Server::Models::Sheet.bring_in(fitted.version.content.gsub(/^stops:\n(?:[- ] .*\n)+/, ''))
      expect(without.names_stops?).to be(false)
      jobs = -> { Server::DB[:que_jobs].where(job_class: 'Server::Workers::FindStops').select_order_map(:id) }
      before = jobs.call
      again = Server::Models::UnitSheet.fit(unit, without, at: Time.now.utc)
      expect(jobs.call.size).to eq(before.size + 1)
      found(again)
      expect(unanswered).to eq([])
    end
  end
end
