# frozen_string_literal: true

# The evening list, a typed temperature, the morning's tap.
RSpec.describe Server::Routes::Mornings do
  def tonight = read('/api/tonight')
  def night = tonight['nights'].find { |one| one['yard_id'] == yard.id }
  def line(unit) = tonight['lines'].find { |one| one['unit_id'] == unit.id }
  def threshold(unit) = Server::Models::StartThreshold[unit.id]
  def say_night(**fields) = write(:put, "/api/yards/#{yard.id}/night", { dawn: night['dawn'], **fields })

  def say_morning(unit, outcome, dawn: Date.today.iso8601)
    write(:post, '/api/mornings', { dawn: dawn, entries: [{ unit_id: unit.id, outcome: outcome }] })
  end

  # A healthy pair cranked at 10 degC, as docs/cold-start.md has it.
  def crank_test(unit, posts: '10.6')
    job = open_job(unit)
    take(job['id'], 'posts_rest', '12.55')
    take(job['id'], 'cranking_behaviour', 'normal')
    take(job['id'], 'posts_cranking', posts,
         conditions: { 'value_confirmed' => 'yes', 'battery_temperature_celsius' => 10, 'engine_meanwhile' => 'cranks' })
    take(job['id'], 'positive_drop', '0.25')
    take(job['id'], 'ground_drop', '0.15')
    job
  end

  before { sign_in_as('electrician') }

  it 'asks how cold it gets, and lists who is least likely to start once that is typed' do
    weak = a_unit
    strong = a_unit(usual_cranking_current_ampere: 400.0)
    expect([night['low_celsius'], line(weak), line(strong)]).to eq([nil, nil, nil])
    say_night(low_celsius: -22.0)
    expect([status, night['low_celsius'], night['source']]).to eq([200, -22.0, 'typed'])
    expect(line(weak)['chance']).to be > line(strong)['chance']
    expect(line(weak)).to include('verdict' => 'act', 'tested' => false).and include('words' => a_string_including('measure first'))
    others = tonight['others']
    say_night(low_celsius: 12.0, confirmed: true)
    expect([line(weak), line(strong), tonight['others']]).to eq([nil, nil, others + 2])
  end

  it 'counts from a crank test as soon as it is read, and no longer once a battery came in' do
    unit = a_unit(control_unit: true)
    before = threshold(unit)
    crank_test(unit)
    after = threshold(unit)
    expect([before.tested, after.tested]).to eq([false, true])
    # Worked by hand with its speed known; here that is the usual one: within a band of it.
    expect(after.celsius).to be_within(3.0).of(-21.2)
    expect(after.variance).to be < before.variance
    fit = { position: 'A',
battery: { id: SecureRandom.uuid, tag: "N#{SecureRandom.hex(3)}", type: 'flooded', rating_ampere: 800.0, rating_standard: 'SAE' } }
    write(:post, "/api/units/#{unit.id}/fittings/A/take-off")
    write(:post, "/api/units/#{unit.id}/fittings", fit)
    expect([status, threshold(unit).tested]).to eq([201, false])
  end

  # Worked by hand, handbook example A: 190 rpm at 10 degC.
  it 'knows more once its speed was read, which narrows its band' do
    unit = a_unit
    job = crank_test(unit)
    unread = threshold(unit)
    expect(unread.narrowing.map(&:first)).to include('speed_rpm')
    take(job['id'], 'cranking_speed', '190')
    expect(status).to eq(201)
    expect(threshold(unit).variance).to be < unread.variance
    expect(threshold(unit).narrowing.map(&:first)).not_to include('speed_rpm')
  end

  it 'does not take what never turned for a crank test' do
    unit = a_unit
    job = open_job(unit)
    take(job['id'], 'posts_rest', '12.55')
    take(job['id'], 'cranking_behaviour', 'click')
    take(job['id'], 'posts_cranking', '12.1', conditions: { 'value_confirmed' => 'yes', 'engine_meanwhile' => 'does not turn' })
    expect(threshold(unit).tested).to be(false)
  end

  it 'is moved by how units started, keeps what was forecast beside it, and takes the last word of a morning' do
    unit = a_unit
    crank_test(unit)
    Server::Models::Night.say(yard, { dawn: Date.today, low_celsius: -12.0 })
    start = threshold(unit).celsius
    say_morning(unit, 'failed')
    expect([status, threshold(unit).mornings]).to eq([201, 1])
    failed = threshold(unit).celsius
    expect(failed).to be > start
    kept = Server::Models::Morning.first(unit_id: unit.id)
    expect(kept).to have_attributes(outcome: 'failed', low_celsius: -12.0, person_id: be_positive)
    expect(kept.chance).to be_between(0, 1)
    say_morning(unit, 'started')
    expect([Server::Models::Morning.where(unit_id: unit.id).count, threshold(unit).celsius < start]).to eq([1, true])
    say_morning(unit, 'helped')
    expect(threshold(unit).celsius).to be_within(1e-9).of(start)
  end

  it 'learns from a morning that was told before anybody said how cold it was, and from the low as it was measured' do
    unit = a_unit
    say_morning(unit, 'failed')
    untold = threshold(unit).celsius
    Server::Models::Night.say(yard, { dawn: Date.today, low_celsius: -12.0 })
    forecast = threshold(unit).celsius
    Server::Models::Night.say(yard, { dawn: Date.today, measured_celsius: -9.0 })
    expect([forecast > untold, threshold(unit).celsius > forecast]).to eq([true, true])
    expect(Server::Models::Morning.first(unit_id: unit.id).low_celsius).to eq(-9.0)
  end

  it 'counts what is ticked for the coming night, the one that wins most, and says what it takes' do
    unit = a_unit
    say_night(low_celsius: -24.0)
    before = line(unit)
    expect(before['remedies'].map { |one| one['key'] }).to include('heat', 'charge')
    tick = lambda do |key, planned = true, dawn = night['dawn']|
      write(:put, "/api/units/#{unit.id}/plan", { dawn: dawn, key: key, planned: planned })
    end
    minutes = tonight['plan']['minutes']
    %w[heat charge].each { |key| tick.call(key) }
    after = line(unit)
    expect([status, after['remedies'].select { |one| one['planned'] }.map { |one| one['key'] }]).to match([200, contain_exactly('heat', 'charge')])
    expect([after['chance'], tonight['plan']['minutes'] - minutes]).to eq([before['chance'], 25])
    expect(after['chance_planned']).to be < 0.2 * before['chance']
    expect(tonight['plan']['failing_planned']).to be < tonight['plan']['failing']
    2.times { tick.call('heat', false) }
    2.times { tick.call('charge') }
    expect(line(unit)['remedies'].select { |one| one['planned'] }.map { |one| one['key'] }).to eq(['charge'])
    expect([tick.call('charge', true, (Date.today - 3).iso8601)['error']['fields'], tick.call('pray')['error']['code']])
      .to eq([{ 'dawn' => ['is not the coming one'] }, 'invalid_input'])
    tick.call('charge', false)
    expect([line(unit)['chance_planned'], line(unit)['chance_planned_words']]).to eq([before['chance'], nil])
  end

  describe 'the minutes before night' do
    def proposal(query) = read("/api/tonight/proposal?#{query}")

    it 'proposes what wins most within them, one thing a unit, and ticks it at once' do
      units = Array.new(3) { a_unit }
      say_night(low_celsius: -24.0)
      found = proposal("minutes=25&yard=#{yard.id}")
      expect([found['minutes'], found['used']]).to match([25, be <= 25])
      expect(found['choices'].map { |one| one['unit_id'] }).to match_array(found['choices'].map { |one| one['unit_id'] }.uniq)
      expect(found['choices'].map { |one| one['unit_id'] } - units.map(&:id)).to be_empty
      expect(found['failing_then']).to be < found['failing']
      ticks = found['choices'].map { |one| one.slice('unit_id', 'dawn', 'key') }
      write(:put, '/api/tonight/plan', { ticks: ticks })
      expect([status, tonight['plan']['minutes']]).to eq([200, found['used']])
    end

    it 'proposes nothing that cannot be done tonight' do
      2.times { a_unit }
      say_night(low_celsius: -20.0)
      keys = ->(query) { proposal("minutes=60&yard=#{yard.id}#{query}")['choices'].map { |one| one['key'] }.uniq }
      expect([keys.call(''), keys.call('&without=heat')]).to match([include('heat'), satisfy { |left| left.any? && !left.include?('heat') }])
      expect(keys.call('&without=heat,charge,weaker,whole_bank,joints')).to be_empty
    end

    it 'goes by the list of the yard that was asked for, however long that of others is' do
      a_unit
      elsewhere = another_yard
      Array.new(Server::Queries::Tonight::MOST_LINES + 2) { a_unit(yard_id: elsewhere.id, batteries: false) }
      say_night(low_celsius: -12.0)
      Server::Models::Night.create(yard_id: elsewhere.id, dawn: Date.parse(night['dawn']), low_celsius: -30.0, source: 'typed')
      expect(tonight['lines'].map { |one| one['yard_id'] }).not_to include(yard.id)
      expect(proposal("minutes=60&yard=#{yard.id}")['choices']).not_to be_empty
    end

    it 'wins no less with more of them, and nothing of another yard' do
      2.times { a_unit }
      say_night(low_celsius: -20.0)
      won = [10, 40, 120].map { |minutes| proposal("minutes=#{minutes}&yard=#{yard.id}")['failing_then'] }
      expect(won).to eq(won.sort.reverse)
      elsewhere = another_yard
      expect(proposal("minutes=60&yard=#{elsewhere.id}")).to include('choices' => [], 'failing' => 0.0)
    end

    it 'refuses minutes that are none, a plan of another night, and one of a unit that is none, whole' do
      expect(%w[minutes=0 minutes=800 minutes=x yard=x minutes=9&without=pray].map { |query| proposal(query) && status }).to all(eq(422))
      unit = a_unit
      say_night(low_celsius: -20.0)
      good = { unit_id: unit.id, dawn: night['dawn'], key: 'heat' }
      [{ **good, dawn: (Date.today - 3).iso8601 }, { **good, unit_id: SecureRandom.uuid }].each do |bad|
        write(:put, '/api/tonight/plan', { ticks: [good, bad] })
        expect([status, Server::Models::RemedyPlan.where(unit_id: unit.id).count]).to eq([422, 0])
      end
      sign_in_as('reader')
      write(:put, '/api/tonight/plan', { ticks: [good] })
      expect(status).to eq(403)
    end
  end

  it 'asks where a night looks as if it was read in Fahrenheit, and takes degrees with their unit' do
    say_night(low_celsius: -3.0)
    error = say_night(low_celsius: 23)['error']
    expect([status, error['code'], error.dig('question', 'options').map { |option| option['value'] }, night['low_celsius']])
      .to eq([422, 'question', [-5.0, nil], -3.0])
    say_night(low_celsius: 23, confirmed: true)
    expect([status, night['low_celsius']]).to eq([200, 23.0])
    say_night(low_celsius: '14 F')
    expect([status, night['low_celsius']]).to eq([200, -10.0])
    error = say_night(low_celsius: 'cold')['error']
    expect([status, error['fields'].keys, night['low_celsius']]).to eq([422, ['low_celsius'], -10.0])
  end

  it 'enters a whole yard in one pass, once however often it is sent' do
    units = Array.new(3) { a_unit }
    Server::Models::Night.say(yard, { dawn: Date.today, low_celsius: -5.0 })
    body = { dawn: Date.today.iso8601, entries: units.map { |unit| { unit_id: unit.id, outcome: 'started' } } }
    id = SecureRandom.uuid
    2.times { write(:post, '/api/mornings', body, request_id: id) }
    expect([status, Server::Models::Morning.where(unit_id: units.map(&:id)).count]).to eq([201, 3])
  end

  it 'says how good the list has been, and that it is young' do
    unit = a_unit
    Server::Models::Night.say(yard, { dawn: Date.today, low_celsius: -30.0 })
    say_morning(unit, 'failed')
    expect(tonight['record']).to include('young' => true, 'failed' => be >= 1, 'named_failed' => be >= 1)
  end

  it 'refuses a morning that is yet to come, temperatures that are none, a unit named twice, an unknown one, and a reader' do
    unit = a_unit
    say_morning(unit, 'started', dawn: (Date.today + 3).iso8601)
    expect([status, error['fields'].keys]).to eq([422, ['dawn']])
    [{ low_celsius: -80 }, { low_celsius: 'cold' }, { low_celsius: 1e9 }, {}].each do |wrong|
      say_night(**wrong)
      expect([status, error['fields'].keys]).to eq([422, ['low_celsius']]), wrong.to_s
    end
    write(:put, "/api/yards/#{yard.id}/night", { dawn: (Date.today + 40).iso8601, low_celsius: -3 })
    expect([status, error['fields'].keys]).to eq([422, ['dawn']])
    write(:post, '/api/mornings', { dawn: Date.today.iso8601, entries: [{ unit_id: unit.id, outcome: 'started' }] * 2 })
    expect(status).to eq(422)
    write(:post, '/api/mornings', { dawn: Date.today.iso8601, entries: [{ unit_id: SecureRandom.uuid, outcome: 'started' }] })
    expect([status, error['fields'].keys]).to eq([422, ['entries']])
    write(:post, '/api/mornings', { dawn: Date.today.iso8601, entries: [{ unit_id: unit.id, outcome: 'perhaps' }] })
    expect(status).to eq(422)
    sign_in_as('reader')
    say_night(low_celsius: -3.0)
    expect(status).to eq(403)
  end

  it 'works every unit out anew to the same row' do
    units = [a_unit, a_unit(battery_count: 1, arrangement: 'single')]
    crank_test(units.first)
    rows = units.map { |unit| threshold(unit).values.except(:worked_out_at) }
    Server::Models::StartThreshold.where(unit_id: units.map(&:id)).delete
    expect(Server::Models::StartThreshold.work_out_each(units.map(&:id))).to be >= 2
    expect(units.map { |unit| threshold(unit).values.except(:worked_out_at) }).to eq(rows)
  end

  # Each night awake costs 0.04 A x 24 h x 1.25 of its Ah (handbook of cold starts); what it costs in degrees is its own.
  it 'counts the nights a unit stands, in the evening and in what its morning teaches, until it runs' do
    unit = a_unit
    park = ->(since) { write(:put, "/api/units/#{unit.id}/parked", { since: since&.iso8601 }) }
    crank_test(unit).then { |job| Server::Models::Job.where(id: job['id']).update(state: 'cancelled', ended_at: Time.now.utc) }
    say_night(low_celsius: -20.0)
    before = line(unit)
    dawn = Date.iso8601(night['dawn'])
    park.call(dawn - 12)
    expect([line(unit)['nights_parked'], line(unit)['chance'] > before['chance'], before['nights_parked']]).to eq([12, true, 1])
    say_morning(unit, 'failed')
    told = Server::Models::Morning.first(unit_id: unit.id)
    expect([told.nights_parked > 1, Server::Models::Unit[unit.id].parked_since]).to eq([true, dawn - 12])
    say_morning(unit, 'jumped')
    expect(Server::Models::Unit[unit.id].parked_since).to be_nil
    # Said twice, it is no error.
    expect(Array.new(2) { park.call(nil).then { status } }).to eq([200, 200])
    park.call(Date.today + 5)
    expect([status, error['fields'].keys]).to eq([422, ['since']])
  end

  it 'puts what cannot wait before a likelier failure that another can stand in for' do
    spare = a_unit(matters: 'spare')
    urgent = a_unit(matters: 'urgent', usual_cranking_current_ampere: 550.0)
    say_night(low_celsius: -20.0)
    order = tonight['lines'].map { |one| one['unit_id'] } & [spare.id, urgent.id]
    expect([line(spare)['chance'] > line(urgent)['chance'], order]).to eq([true, [urgent.id, spare.id]])
    expect(line(urgent)['matters']).to eq('cannot wait')
  end
end
