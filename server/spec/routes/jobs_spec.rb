# frozen_string_literal: true

RSpec.describe Server::Routes::Jobs do
  let!(:person) { sign_in_as('lead') }

  it 'keeps complaint, what was seen and what was tried apart' do
    job = open_job(seen: 'One click', lamps: ['lamps stay bright'],
                   attempts: [{ what: 'New starter', by_whom: 'hire shop', fitted_without_diagnosis: true }])
    expect([status, job['complaint'], job['seen'], job['lamps']]).to eq([201, 'Just clicks', 'One click', ['lamps stay bright']])
    expect(job['attempts'].first).to include('what' => 'New starter', 'fitted_without_diagnosis' => true)
    expect(job['next_step']).to include('kind' => 'measure', 'test_key' => 'cranking_behaviour')
  end

  it 'has a start that comes and goes cranked until it fails' do
    id = open_job(symptom: { work: 'starting', seen: 'comes_and_goes' })['id']
    expect(read("/api/jobs/#{id}")['symptom']).to include('words' => 'Does not start, or cranks badly, comes and goes', 'seen' => 'comes_and_goes')
    expect(take(id, 'cranking_behaviour', 'normal')['next_step']).to include('kind' => 'repeat', 'title' => 'Crank it again until it fails')
    expect(take(id, 'cranking_behaviour', 'click')['next_step']).to include('test_key' => 'ground_drop')
  end

  it 'begins with the height where it charges too much, and with the draw where batteries go flat standing' do
    { 'overcharges' => ['Charges too much', 'charging_fast_idle'], 'goes_flat' => ['Goes flat while it stands', 'draw_asleep'],
      'dead' => ['Does not charge, or badly', 'charge_lamp_key_on'] }.each do |seen, (words, first)|
      job = open_job(symptom: { work: 'charging', seen: seen })
      expect([job['symptom']['words'], job['next_step']['test_key']]).to eq([words, first])
    end
  end

  it 'refuses a way of failing that such a complaint has not, and says which it has' do
    open_job(symptom: { work: 'starting', seen: 'goes_flat' })
    expect([status, error['message']]).to match([422, include('fails each time, comes and goes')])
    expect(error['fields']).to match('symptom.seen' => [/one of dead/])
    open_job(symptom: { work: 'charging', seen: 'weak' })
    expect([status, error['message']]).to match([422, include('charges too much, goes flat standing')])
  end

  # Said so before a way was asked for: it goes on.
  it 'shows an old job whose way of failing is not asked for any more' do
    id = open_job['id']
    Server::Models::JobSymptom.where(job_id: id).update(seen: 'weak')
    expect(read("/api/jobs/#{id}")['symptom']).to include('words' => 'Does not start, or cranks badly', 'seen' => 'weak')
  end

  it 'refuses a job without a complaint' do
    open_job(complaint: '   ')
    expect([status, error['fields']]).to eq([422, { 'complaint' => ['is empty: fill it in'] }])
  end

  it 'lists open and parked jobs first, others on request' do
    job = open_job
    expect(read('/api/jobs')['jobs'].map { |row| row['id'] }).to include(job['id'])
    write(:post, "/api/jobs/#{job['id']}/cancel", { lock_version: 0, reason: 'opened twice' })
    expect(read('/api/jobs?state=cancelled')['jobs'].map { |row| row['id'] }).to include(job['id'])
  end

  # A ground joint behind a click, from intake to close.
  it 'runs from complaint to a closed job, with the strap proved by the reading that failed' do
    job = open_job
    id = job['id']
    take(id, 'cranking_behaviour', 'click')
    take(id, 'connections_look', 'clean')
    %w[A B].each do |position|
      take(id, 'rest_voltage', '12.62', position: position)
      take(id, 'battery_test', 780, position: position)
    end
    take(id, 'posts_rest', '12.62')
    take(id, 'posts_cranking', '12.25')
    take(id, 'ground_drop', '11.4')
    bench = take(id, 'block_strap_drop', '11.2')
    expect(bench['next_step']).to include('kind' => 'repair', 'element' => nil, 'unit' => 'wire strap', 'element_label' => 'Strap, BLOCK to FRAME')
    expect(bench['next_step']['cautions'].map { |one| one['id'] }).to eq(%w[ground_off underneath])
    failing = bench['readings'].last['id']

    bench = write(:post, "/api/jobs/#{id}/repairs",
                  repair_fields(failing_reading_id: failing, disturbed: ['Negative lead off the battery', '']))
    expect(bench['repairs'].first['proof']).to include('state' => 'missing', 'before_id' => failing)
    expect(bench['disturbances'].size).to eq(1)
    write(:post, "/api/jobs/#{id}/close", { lock_version: 0 })
    expect([status, error['fields']['missing']]).to match([422, include(start_with('Repeat'))])

    take(id, 'cranking_behaviour', 'normal')
    take(id, 'ground_drop', '0.12')
    bench = take(id, 'block_strap_drop', '0.05')
    expect(bench['repairs'].first['proof']).to include('state' => 'proved')
    expect(bench['missing_to_close']).to eq(['Put back what was disturbed: 1 still open'])
    write(:post, "/api/disturbances/#{bench['disturbances'].first['id']}/put-back")
    closed = write(:post, "/api/jobs/#{id}/close", { lock_version: 0 })
    expect([status, closed['state']]).to eq([200, 'closed'])
    expect(closed['events'].map { |event| event['kind'] }).to eq(%w[opened closed])
  end

  it 'says at a step that opens the isolator what is fed past it, on a unit that has one' do
    text = Wattomneum::Circuits::Library::TEXTS['main_feed'].sub('sheet: main_feed', 'sheet: spec_main_feed')
    sheet = write(:post, '/api/circuits', { content: text })
    cautions = lambda do |unit|
      write(:post, "/api/units/#{unit.id}/circuits", { version_id: sheet['version_id'] })
      step = take(open_job(unit)['id'], 'block_strap_drop', '21.4')['next_step']
      [step['kind'], step['cautions'].to_h { |one| one.values_at('id', 'text') }['isolator_bypassed']]
    end
    truck = { system_volt: 24, arrangement: 'series' }
    expect(cautions.call(a_unit(**truck))).to match(['repair', include('F40 Main feed', 'K20 Main relay', 'Prove the point dead')])
    expect(cautions.call(a_unit(**truck, has_isolator: false))).to eq(['repair', nil])
  end

  it 'parks with the missing point named, takes it up again, cancels only with a reason' do
    id = open_job['id']
    parked = write(:post, "/api/jobs/#{id}/park", { lock_version: 0 })
    expect(parked['parked_missing']).to include('No repair is recorded')
    take(id, 'posts_rest', '12.6')
    expect([status, error['message']]).to match([422, include('parked: reopen it first')])
    reopened = write(:post, "/api/jobs/#{id}/reopen", { lock_version: 1 })
    expect(reopened['state']).to eq('open')
    write(:post, "/api/jobs/#{id}/cancel", { lock_version: 2 })
    expect(error['fields']).to include('reason' => ['is needed'])
  end

  it 'shows a conflict when two people end one job' do
    id = open_job['id']
    write(:post, "/api/jobs/#{id}/park", { lock_version: 0, reason: 'parts' })
    write(:post, "/api/jobs/#{id}/reopen", { lock_version: 0 })
    expect([status, error['code'], error['theirs']['state']]).to eq([409, 'edit_conflict', 'parked'])
  end

  it 'pages: every job once, newest first, in each state' do
    unit = a_unit(batteries: false)
    account = Server::Models::Account.first
    times = Array.new(Server::Models::Job::PAGE + 5) { |index| Time.now.utc + 3600 - (index / 3) } # newer than whatever else was closed
    ids = times.map do |time|
      job = Server::Models::Job.create(id: SecureRandom.uuid, unit_id: unit.id, complaint: 'x', opened_by_id: account.id,
                                       state: 'closed', ended_at: time, opened_at: time)
      Server::Models::JobSymptom.create(job_id: job.id, work: 'starting', situation: 'cranking')
      job.id
    end
    first = read('/api/jobs?state=closed')
    second = read("/api/jobs?state=closed&before=#{first['next']}")
    shown = [first, second].flat_map { |page| page['jobs'].map { |job| job['id'] } }
    expect([first['jobs'].size, second['next'], shown.uniq.size,
            shown & ids]).to eq([Server::Models::Job::PAGE, nil, shown.size, shown.first(ids.size)])
    %w[before=x before=999999999 state=odd].each do |query|
      read("/api/jobs?#{query}")
      expect([query, status]).to eq([query, 422])
    end
  end

  it 'sends a page that is asked for again and again once, until it changes' do
    id = open_job['id']
    read("/api/jobs/#{id}")
    header 'If-None-Match', last_response.headers['etag']
    get "#{Requests::HOST}/api/jobs/#{id}"
    expect([status, last_response.body]).to eq([304, ''])
    header 'If-None-Match', nil
    tag = last_response.headers['etag']
    take(id, 'posts_rest', '12.6')
    read("/api/jobs/#{id}")
    expect(last_response.headers['etag']).not_to eq(tag)
  end

  it 'leaves the intake of an ended job as it is, and what has ended ended' do
    job = open_job
    write(:post, "/api/jobs/#{job['id']}/cancel", { lock_version: 0, reason: 'wrong unit' })
    edit = { lock_version: 1, complaint: 'x', symptom: { work: 'starting' }, seen: '' }
    [[:patch, '', edit], [:post, '/close', { lock_version: 1 }], [:post, '/cancel', { lock_version: 1, reason: 'x' }],
     [:post, '/park', { lock_version: 1, reason: 'x' }]].each do |verb, rest, body|
      write(verb, "/api/jobs/#{job['id']}#{rest}", body)
      expect([rest, status, last_response.body]).to match([rest, 422, /cancelled: reopen it first|Not yet/])
    end
  end

  it 'changes the intake against its version' do
    id = open_job['id']
    bench = write(:patch, "/api/jobs/#{id}", { lock_version: 0, complaint: 'No charge', symptom: { work: 'charging' }, seen: '' })
    expect(bench['next_step']['test_key']).to eq('charge_lamp_key_on')
    bench = write(:post, "/api/jobs/#{id}/attempts", { what: 'New belt' })
    expect(bench['attempts'].size).to eq(1)
  end

  it 'gives a job as one JSON document' do
    id = open_job['id']
    take(id, 'posts_rest', '12.6')
    get "#{Requests::HOST}/api/jobs/#{id}/export"
    document = JSON.parse(last_response.body)
    expect(document).to include('format' => 'wattomneum-job-1', 'complaint' => 'Just clicks')
    expect(document['readings'].first['judged']['limits'].first).to include('source')
  end

  # Five cells of six charge to 10.6 V and stay there.
  it 'asks whether a low battery was charged once it was read before, and condemns it only then' do
    id = open_job['id']
    asked = ->(bench) { bench['tests'].find { |one| one['key'] == 'rest_voltage' }['conditions'].map { |one| one['key'] } }
    expect(asked.call(read("/api/jobs/#{id}"))).not_to include('charged_since')
    take(id, 'cranking_behaviour', 'slow')
    take(id, 'connections_look', 'clean')
    low = take(id, 'rest_voltage', '10.63', position: 'A')
    expect([asked.call(low), low['readings'].last.dig('judged', 'summary')]).to match([include('charged_since'), include('a cell is gone')])
    again = take(id, 'rest_voltage', '10.66', position: 'A', conditions: Rows::ALL_SAID.merge('charged_since' => 'yes'))
    expect(again['next_step'].slice('kind', 'element', 'position')).to eq('kind' => 'condemn', 'element' => 'battery', 'position' => 'A')
    expect(again['ladders'].find { |one| one['position'] == 'A' }).to include('complete' => true)
  end

  describe 'condemning' do
    def failing_battery(said = Rows::ALL_SAID)
      id = open_job['id']
      take(id, 'connections_look', 'clean')
      take(id, 'rest_voltage', '12.6', position: 'A')
      take(id, 'battery_test', 300, position: 'A', conditions: said)
      id
    end

    def condemn(id, **rest)
      write(:post, "/api/jobs/#{id}/condemnations", { id: SecureRandom.uuid, element: 'battery', position: 'A', **rest })
    end

    it 'is allowed from the top of the ladder' do
      bench = condemn(failing_battery)
      expect([status, bench['condemnations'].first['override_reason']]).to eq([201, nil])
    end

    it 'names the missing rung otherwise' do
      condemn(failing_battery(Rows::ALL_SAID.except('tested_alone')))
      expect([status, error['message']]).to eq([422, 'Battery A is not proved bad: tested alone is missing'])
    end

    it 'lets a lead override with a reason that stays visible' do
      bench = condemn(failing_battery(Rows::ALL_SAID.except('tested_alone')), override_reason: 'leaking acid')
      expect(bench['condemnations'].first).to include('override_reason' => 'leaking acid', 'person' => person.name)
    end

    it 'lets nobody else override' do
      id = failing_battery(Rows::ALL_SAID.except('tested_alone'))
      sign_in_as('electrician')
      condemn(id, override_reason: 'because')
      expect(status).to eq(403)
    end
  end

  it 'keeps a temporary repair on Today until it is permanent, and wants its limit and reason' do
    unit = a_unit
    id = open_job(unit)['id']
    write(:post, "/api/jobs/#{id}/repairs", repair_fields(temporary: true))
    expect(error['fields'].keys).to contain_exactly('temporary_until', 'temporary_reason')
    write(:post, "/api/jobs/#{id}/repairs",
          repair_fields(temporary: true, temporary_until: (Date.today + 91).iso8601, temporary_reason: 'part on order'))
    expect(error['fields']).to eq('temporary_until' => ['a temporary repair holds 90 days at most: name a day within them'])
    bench = write(:post, "/api/jobs/#{id}/repairs",
                  repair_fields(temporary: true, temporary_until: (Date.today + 20).iso8601, temporary_reason: 'part on order'))
    on_today = -> { read('/api/today')['lines'].any? { |line| line['kind'] == 'temporary' && line['unit_id'] == unit.id } }
    expect(on_today.call).to be(true)
    write(:post, "/api/repairs/#{bench['repairs'].first['id']}/make-permanent")
    expect(on_today.call).to be(false)
  end

  it 'refuses a part the unit has not, a reading of another job, a battery without its position' do
    id = open_job['id']
    other = open_job
    take(other['id'], 'posts_rest', '12.6')
    foreign = Server::Models::Reading.first(job_id: other['id']).id
    [repair_fields(element: 'tea_kettle'), repair_fields(element: 'battery'), repair_fields(failing_reading_id: foreign),
     repair_fields(minutes: -1)].each do |fields|
      write(:post, "/api/jobs/#{id}/repairs", fields)
      expect(status).to eq(422)
    end
    expect(Server::Models::Repair.where(job_id: id).count).to eq(0)
  end

  it 'knows on every device who is under the machine, each by themselves, and another may say that one has answered' do
    id = open_job['id']
    under = ->(**body) { write(:post, "/api/jobs/#{id}/under-machine", { somebody: true, **body })['under_machine']&.map { |one| one['person'] } }
    expect([under.call, under.call, status]).to eq([[person.name], [person.name], 200])
    electrician = sign_in_as('electrician')
    expect(under.call).to eq([person.name, electrician.name])
    # One comes out: the other is still under it.
    expect(under.call(somebody: false)).to eq([person.name])
    expect(under.call(somebody: false, person_id: person.id)).to eq([])
    expect(read("/api/jobs/#{id}")).to include('under_machine' => [], 'lock_version' => 0)
  end

  it 'refuses to say for another that they went under, what is neither yes nor no, and anybody who may not work' do
    id = open_job['id']
    { { somebody: 'perhaps' } => 'somebody', { somebody: true, person_id: person.id } => 'person_id',
      { somebody: false, person_id: -1 } => 'person_id', {} => 'somebody' }.each do |body, field|
      write(:post, "/api/jobs/#{id}/under-machine", body)
      expect([status, error['fields'].keys]).to eq([422, [field]])
    end
    sign_in_as('driver')
    write(:post, "/api/jobs/#{id}/under-machine", { somebody: true })
    expect(status).to eq(403)
  end
end
