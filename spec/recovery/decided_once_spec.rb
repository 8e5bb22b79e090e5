# frozen_string_literal: true

# Two people, or two taps, at one thing at one moment: decided once, and the loser gets a sentence. Committed, since it takes two connections.
RSpec.describe 'What is decided about a job, a unit or a battery', :committed, :server do
  before { DemoFleet.fresh }

  let(:models) { Server::Models }
  let(:people) { models::Account.where(role: 'electrician').all }
  let(:unit) { models::Unit.first(number: 'T-03') }
  let(:job) { models::Job.first(unit_id: unit.id, state: 'open') }

  # Callers with sessions of their own, in threads of their own, all starting at once.
  def at_once(*requests)
    gate = Queue.new
    threads = requests.map do |verb, path, body|
      Thread.new do
        gate.pop
        send_alone(verb, path, body)
      end
    end
    requests.size.times { gate << :go }
    threads.map(&:value)
  end

  def send_alone(verb, path, body)
    env = { 'HTTP_COOKIE' => "#{Server::SessionCookie::NAME}=#{token}", 'HTTP_REQUEST_ID' => SecureRandom.uuid, 'HTTP_HOST' => '127.0.0.1',
            'CONTENT_TYPE' => 'application/json', method: verb, input: JSON.generate(body) }
    reply = Rack::MockRequest.new(Requests::APP).request(verb, path, env)
    [reply.status, JSON.parse(reply.body).dig('error', 'message')]
  end

  def token
    from = { device: 'spec', client_address: '127.0.0.1' }
    models::Session.begin_for(models::Account.first(role: 'lead'), from: from, now: Time.now.utc)
  end

  def reading = { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '25.4', conditions: { value_confirmed: 'yes' } }

  it 'never takes a reading into a job that was cancelled' do
    6.times do
      models::Job.where(id: job.id).update(state: 'open')
      version = job.refresh.lock_version
      cancelled, taken = at_once(['POST', "/api/jobs/#{job.id}/cancel", { lock_version: version, reason: 'x' }],
                                 ['POST', "/api/jobs/#{job.id}/readings", one = reading])
      expect(cancelled.first).to eq(200)
      kept = models::Reading.where(id: one[:id]).any?
      expect(taken).to eq(kept ? [201, nil] : [422, 'This job is cancelled: reopen it first'])
    end
  end

  it 'condemns one part once in a round, whoever says so' do
    condemn = ['POST', "/api/jobs/#{job.id}/condemnations", { element: 'battery', position: 'A', override_reason: 'seen' }]
    replies = at_once(*Array.new(3) { [*condemn.first(2), condemn.last.merge(id: SecureRandom.uuid)] })
    expect([replies.map(&:first).uniq, models::Condemnation.where(job_id: job.id).count]).to eq([[201], 1])
  end

  it 'lets one of two edits win, and shows the other both versions' do
    edit = ['PATCH', "/api/jobs/#{job.id}", { lock_version: job.lock_version, complaint: 'x', symptom: { work: 'starting' }, seen: '' }]
    replies = at_once(*%w[one other].map { |words| [*edit.first(2), edit.last.merge(complaint: words)] })
    expect(replies.map(&:first).sort).to eq([200, 409])
  end

  it 'fits one battery into one place' do
    models::Fitting.current.where(unit_id: unit.id).each { |fitting| fitting.end_at(Time.now.utc - 60) }
    battery = models::Battery.loose.first
    replies = at_once(*%w[A B].map { |position| ['POST', "/api/units/#{unit.id}/fittings", { position: position, battery_id: battery.id }] })
    expect(replies.map(&:first).sort).to eq([201, 422])
  end

  it 'fits one starter into one unit, and one place holds one' do
    units = models::Unit.where(number: %w[T-03 T-05]).all
    spare = models::Asset.first(tag: 'ST-300')
    replies = at_once(*units.map { |one| ['POST', "/api/units/#{one.id}/parts", { place: 'starter', asset_id: spare.id }] })
    expect(replies.map(&:first).sort).to eq([201, 422])
    fresh = Array.new(2) { |index| { place: 'starter', asset: { id: SecureRandom.uuid, tag: "TWIN-#{index}" } } }
    at_once(*fresh.map { |body| ['POST', "/api/units/#{unit.id}/parts", body] })
    expect(models::AssetFitting.current.where(unit_id: unit.id, place: 'starter').count).to eq(1)
  end

  it 'takes the readings of two who walk one round at once, each of them once' do
    bodies = %w[posts_rest charge_lamp_key_on].zip([{ value_text: '25.3' }, { observation: 'lit' }])
    replies = at_once(*bodies.map do |key, said|
      ['POST', "/api/units/#{unit.id}/rounds/charge/readings", { id: SecureRandom.uuid, test_key: key, **said }]
    end)
    kept = models::Reading.where(unit_id: unit.id, job_id: nil).where { received_at > Time.now.utc - 30 }
    expect([replies.map(&:first), kept.select_order_map(:test_key)]).to eq([[201, 201], %w[charge_lamp_key_on posts_rest]])
    expect(models::Judgement.where(reading_id: kept.select(:id), occasion: 'taken').count).to eq(2)
  end

  it 'counts the nights of a unit that two say, by the one who was last' do
    replies = at_once(*[2, 9].map { |days| ['PUT', "/api/units/#{unit.id}/parked", { since: (Date.today - days).iso8601 }] })
    expect([replies.map(&:first), [2, 9].map { |days| Date.today - days }]).to match([[200, 200], include(models::Unit[unit.id].parked_since)])
  end

  it 'does not retire a unit while a job is opened on it' do
    models::Job.where(unit_id: unit.id).update(state: 'cancelled')
    opened, retired = at_once(['POST', '/api/jobs', { id: SecureRandom.uuid, unit_id: unit.id, symptom: { work: 'starting' }, complaint: 'x' }],
                              ['POST', "/api/units/#{unit.id}/retire", {}])
    expect([opened.first, retired.first]).to eq([201, 422]).or eq([422, 200])
  end

  it 'misses none of the mornings, readings and lows that come in at once' do
    today = Date.today
    rows = models::Morning.where(unit_id: unit.id)
    4.times do |round|
      days = (1..3).map { |back| (today - (round * 3) - back).iso8601 }
      said = days.map { |dawn| ['POST', '/api/mornings', { dawn: dawn, entries: [{ unit_id: unit.id, outcome: 'slow' }] }] }
      night = ['PUT', "/api/yards/#{unit.yard_id}/night", { dawn: days.first, measured_celsius: -11.0 - round }]
      replies = at_once(*said, night, ['POST', "/api/jobs/#{job.id}/readings", reading])
      expect(replies.map(&:first)).to eq([201, 201, 201, 200, 201])
      kept = models::StartThreshold[unit.id].values.except(:worked_out_at)
      expect(models::StartThreshold.work_out(unit).values.except(:worked_out_at)).to eq(kept)
      expect(rows.where(dawn: days.map { |day| Date.iso8601(day) }).select_map(:outcome)).to eq(%w[slow] * 3)
    end
  end

  it 'lets one of two say what a unit has otherwise, and shows the other what it is now' do
    fitted = models::UnitSheet.current.where(unit_id: unit.id).eager(version: :sheet).all.find { |one| one.version.sheet.key == 'fuel_pump' }
    wire = fitted.version.to_core.wire('10')
    said_of = { item: wire.uuid, field: 'colour', was: wire.colour, why: 'seen' }
    fact = ->(says) { ['POST', "/api/circuits/#{fitted.id}/own-facts", { **said_of, says: says }] }
    said = at_once(fact.call('pink'), fact.call('grey'))
    expect(said.map(&:first)).to contain_exactly(201, 409)
    now = fitted.refresh.overrides.to_h.dig(wire.uuid, 'colour')
    expect(said.filter_map(&:last)).to eq(["Somebody else changed this meanwhile: it is #{now} now. Look at it and save again"])
    expect(models::OwnFact.of(fitted).select_map(:says)).to eq([now])
  end
end
