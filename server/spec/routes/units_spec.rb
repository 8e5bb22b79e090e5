# frozen_string_literal: true

RSpec.describe Server::Routes::Units do
  before { sign_in_as('lead') }

  it 'creates a unit, with the loops that its few facts give it' do
    sheet = write(:post, '/api/units', { id: SecureRandom.uuid, **unit_fields(has_isolator: false) })
    expect([status, sheet['system']]).to eq([201, '12 V, 2 in parallel'])
    start = read("/api/units/#{sheet['id']}")['loops'].first
    expect([start['key'], *%w[feed return].map { |side| start[side].map { |place| place['place'] } }])
      .to eq(['start', %w[positive_post starter_stud], %w[starter_case engine_block frame negative_post]])
  end

  it 'refuses a number that is taken, whatever its case, and keeps the first' do
    a_unit(number: 'K-7')
    write(:post, '/api/units', { id: SecureRandom.uuid, **unit_fields(number: 'k-7') })
    expect([status, error['fields']]).to eq([422, { 'number' => ['this number is taken'] }])
  end

  it 'refuses batteries that do not go together, in a sentence' do
    write(:post, '/api/units', { id: SecureRandom.uuid, **unit_fields(system_volt: 24) })
    expect([status, error['message']]).to match([422, include('series pair on 24 V')])
  end

  it 'names every field that is missing, of the wrong kind or unknown' do
    write(:post, '/api/units', { id: 'x', number: '', usual_cranking_current_ampere: 'much', colour: 'red' })
    expect(error['fields'].keys).to include('id', 'number', 'name', 'usual_cranking_current_ampere', 'colour')
  end

  it 'refuses broken JSON, lists, other content and numbers beyond any meter' do
    ['{', '[]', ''].each do |text|
      write(:post, '/api/units', text)
      expect([status, error['code']]).to eq([400, 'bad_request'])
    end
    fields = { id: SecureRandom.uuid, **unit_fields }
    write(:post, '/api/units', JSON.generate(fields).sub('600.0', '1e400'))
    expect(status).to eq(422)
  end

  it 'edits a unit, and its loops follow' do
    unit = a_unit(has_isolator: false)
    sheet = write(:patch, "/api/units/#{unit.id}", { **unit_fields(number: unit.number), lock_version: 0 })
    expect([status, sheet['lock_version']]).to eq([200, 1])
    expect(sheet['loops'].first['feed'].map { |place| place['place'] }).to eq(%w[positive_post isolator_in isolator_out starter_stud])
  end

  it 'shows both versions when two people edit one unit' do
    unit = a_unit
    write(:patch, "/api/units/#{unit.id}", { **unit_fields(number: unit.number, name: 'Theirs'), lock_version: 0 })
    write(:patch, "/api/units/#{unit.id}", { **unit_fields(number: unit.number, name: 'Mine'), lock_version: 0 })
    expect([status, error['code'], error['theirs']['name']]).to eq([409, 'edit_conflict', 'Theirs'])
  end

  def listed(query) = read("/api/units?#{query}")['units'].map { |row| row['number'] }

  it 'lists a page at a time, each unit once, whatever is entered meanwhile' do
    stub_const('Server::Queries::UnitList::PAGE', 2)
    numbers = Array.new(5) { a_unit.number }.sort
    first = read("/api/units?yard=#{yard.id}")
    later = a_unit(number: "A#{SecureRandom.hex(3)}")
    second = read("/api/units?yard=#{yard.id}&after=#{first['after']}")
    third = read("/api/units?yard=#{yard.id}&after=#{second['after']}")
    expect([first, second, third].flat_map { |page| page['units'].map { |row| row['number'] } }).to eq(numbers)
    expect([first['count'], third['count'], third['after'], later.number < numbers.first]).to eq([5, 6, nil, true])
  end

  # Worst first by what each was read to be; what was never read stands behind what is bad and before what is known to be good.
  it 'narrows the list by yard, class, state and part of a name, and says what each yard and class has' do
    sister = write(:post, '/api/units', { id: SecureRandom.uuid, **unit_fields(make: 'Corrie', model: "M#{SecureRandom.hex(2)}") })
    again = write(:post, '/api/units', { id: SecureRandom.uuid, **unit_fields(make: ' corrie', model: sister['model'].downcase) })
    down = a_unit(name: 'Bus with 100% luck')
    open_job(down)
    page = read("/api/units?yard=#{yard.id}")
    ours = page['classes'].find { |one| one['model'] == sister['model'] }
    expect([page['yards'].find { |one| one['id'] == yard.id }['count'], ours['label'], ours['count']]).to eq([3, "Corrie #{sister['model']}", 2])
    expect(listed("class=#{ours['id']}")).to contain_exactly(sister['number'], again['number'])
    word = URI.encode_www_form_component('0% L')
    expect(['state=down', "q=#{word}", 'q=_'].map { |query| listed("yard=#{yard.id}&#{query}") }).to eq([[down.number], [down.number], []])
  end

  it 'lists units with a battery to mind' do
    unit = a_unit
    job = open_job(unit)['id']
    take(job, 'rest_voltage', '12.6', position: 'A')
    take(job, 'battery_test', '400', position: 'A')
    expect(listed("yard=#{yard.id}&state=batteries")).to eq([unit.number])
    write(:post, "/api/units/#{unit.id}/notices", { id: SecureRandom.uuid, what: 'Cable worn through', severity: 'holds' })
    expect([listed("yard=#{yard.id}&state=held"), read("/api/units?yard=#{yard.id}")['units'].map do |one|
      one['held']
    end]).to match([[unit.number], include(true)])
  end

  it 'lists those that run on a temporary repair, until it is made to last' do
    job = open_job(unit = a_unit)
    write(:post, "/api/jobs/#{job['id']}/repairs", repair_fields(temporary: true, temporary_until: (Date.today + 20).iso8601,
                                                                 temporary_reason: 'part ordered'))
    expect([status, listed("yard=#{unit.yard_id}&state=temporary")]).to eq([201, [unit.number]])
    Server::Models::Repair.where(job_id: job['id']).update(made_permanent_at: Time.now.utc)
    expect(listed("yard=#{unit.yard_id}&state=temporary")).to be_empty
  end

  it 'refuses a list that cannot be: a yard that is none, a state unknown, a unit to go on from that is none' do
    ['yard=x', 'state=odd', "after=#{SecureRandom.uuid}", 'colour=red'].each do |query|
      refused = read("/api/units?#{query}")
      expect([status, refused.dig('error', 'fields')&.keys]).to match([422, [query[/\A\w+/]]]), query
    end
  end

  it 'says that make and model go together, takes a class back, and shows both to who saves later' do
    half = write(:post, '/api/units', { id: SecureRandom.uuid, **unit_fields(make: 'Corrie', model: ' ') })
    expect([status, half['error']['fields']]).to eq([422, { 'model' => ['is missing: sister units share both make and model'] }])
    unit = write(:post, '/api/units', { id: SecureRandom.uuid, **unit_fields(make: 'Corrie', model: '18') })
    changes = unit_fields(number: unit['number'])
    write(:patch, "/api/units/#{unit['id']}", { **changes, make: nil, model: nil, lock_version: 0 })
    stale = write(:patch, "/api/units/#{unit['id']}", { **changes, make: 'Tarn', model: '9', lock_version: 0 })
    expect([status, stale.dig('error', 'theirs', 'make')]).to eq([409, nil])
    expect(read("/api/units/#{unit['id']}").values_at('make', 'model')).to eq([nil, nil])
  end

  it 'retires a unit without open work, hides it, and brings it back' do
    unit = a_unit
    write(:post, "/api/units/#{unit.id}/retire")
    expect(listed("yard=#{yard.id}")).not_to include(unit.number)
    expect(listed("yard=#{yard.id}&state=retired")).to include(unit.number)
    expect(write(:post, "/api/units/#{unit.id}/return")['retired']).to be(false)
  end

  it 'does not retire a unit with an open job, nor open one on a retired unit' do
    unit = a_unit
    open_job(unit)
    write(:post, "/api/units/#{unit.id}/retire")
    expect([status, error['message']]).to match([422, include('open job')])
    other = a_unit
    write(:post, "/api/units/#{other.id}/retire")
    open_job(other)
    expect([status, error['message']]).to match([422, include('retired')])
  end

  it 'answers 404 for what is not there and for what is no id' do
    ["/api/units/#{SecureRandom.uuid}", '/api/units/7', '/api/nowhere'].each do |path|
      get "#{Requests::HOST}#{path}"
      expect(status).to eq(404)
    end
  end

  describe 'batteries' do
    let(:unit) { a_unit(batteries: false) }
    let(:new_battery) do
      { id: SecureRandom.uuid, tag: "N#{SecureRandom.hex(3)}", type: 'agm', rating_ampere: 760, rating_standard: 'EN', date_code: 'K24' }
    end

    def fit_new(position, battery = new_battery) = write(:post, "/api/units/#{unit.id}/fittings", { position: position, battery: battery })

    it 'fits a new one with its label, decodes its date, takes it off, and remembers where it was' do
      slot = fit_new('A')['batteries'].first
      expect(slot['battery']).to include('rating_standard' => 'EN', 'made' => 'October 2024')
      sheet = write(:post, "/api/units/#{unit.id}/fittings/A/take-off")
      expect([sheet['batteries'].first['battery'], sheet['past_batteries'].first['tag']]).to eq([nil, new_battery[:tag]])
    end

    it 'moves one from the shelf with its history' do
      fit_new('A')
      write(:post, "/api/units/#{unit.id}/fittings/A/take-off")
      expect(read('/api/shelf')['batteries'].map { |row| row['id'] }).to include(new_battery[:id])
      other = a_unit(batteries: false)
      sheet = write(:post, "/api/units/#{other.id}/fittings", { position: 'B', battery_id: new_battery[:id] })
      expect(sheet['batteries'].last['battery']['tag']).to eq(new_battery[:tag])
    end

    it 'puts no two batteries in one position and no battery in two places' do
      fit_new('A')
      fit_new('A', new_battery.merge(id: SecureRandom.uuid, tag: "X#{SecureRandom.hex(3)}"))
      expect([status, error['fields']]).to eq([422, { 'position' => ['is taken'] }])
      write(:post, "/api/units/#{unit.id}/fittings", { position: 'B', battery_id: new_battery[:id] })
      expect(status).to eq(422)
    end

    it 'refuses a rating no such battery has, a tag on record, a position the unit lacks, both or neither' do
      fit_new('A', new_battery.merge(rating_ampere: 8500))
      expect(error['fields']).to include('rating_ampere' => [include('No such battery')])
      fit_new('A')
      fit_new('B', new_battery.merge(id: SecureRandom.uuid))
      expect(error['fields']).to include('tag' => ['is on record already'])
      fit_new('D', new_battery.merge(id: SecureRandom.uuid, tag: 'other'))
      expect(error['message']).to include('no position D')
      write(:post, "/api/units/#{unit.id}/fittings", { position: 'B' })
      expect(status).to eq(422)
    end

    it 'judges the readings of a battery again when its label is corrected, beside the first judgement' do
      battery = Server::Models::Battery.with_pk!(fit_new('A')['batteries'].first['battery']['id'])
      job = open_job(unit)
      take(job['id'], 'rest_voltage', '12.9', position: 'A')
      take(job['id'], 'battery_test', 500, position: 'A')
      write(:patch, "/api/batteries/#{battery.id}", { lock_version: 0, type: 'agm', rating_ampere: 900, rating_standard: 'EN' })
      Server::Workers::JudgeAgain.run(battery.id)
      verdicts = Server::Models::Judgement.join(:reading, id: :reading_id)
                                          .where(test_key: 'battery_test', battery_id: battery.id)
                                          .order(:made_at).select_map(%i[occasion verdict])
      expect(verdicts).to eq([%w[taken watch], %w[judged_again act]])
      Server::Workers::JudgeAgain.run(battery.id)
      again = Server::Models::Judgement.where(occasion: 'judged_again',
                                              reading_id: Server::Models::Reading.where(battery_id: battery.id, test_key: 'battery_test').select(:id))
      expect(again.count).to eq(1)
    end
  end

  it 'gives a unit’s readings as CSV with base units, conditions and fate, and disarms formulas' do
    unit = a_unit
    job = open_job(unit)
    take(job['id'], 'posts_rest', '12,6')
    wrong = Server::Models::Reading.first(job_id: job['id'])
    write(:post, "/api/readings/#{wrong.id}/withdrawal", { reason: '=1+1' })
    read("/api/units/#{unit.id}/readings.csv")
    row = CSV.parse(last_response.body, headers: true).first.to_h
    expect(row).to include('test' => 'posts_rest', 'value' => '12.6', 'unit' => 'V', 'entered' => '12,6 V', 'from' => 'Positive post',
                           'withdrawn_because' => "'=1+1", 'state' => 'off')
  end

  it 'finds units by number or name, jobs by number, batteries by tag' do
    unit = a_unit(number: 'Q-99', name: 'Quillon loader')
    job = open_job(unit)
    battery = Server::Models::Fitting.where(unit_id: unit.id).eager(:battery).all.first.battery
    hits = ->(text) { read("/api/find?q=#{text}")['found'].map { |hit| [hit['kind'], hit['id']] } }
    expect(hits.call('q-99')).to include(['unit', unit.id])
    expect(hits.call('quillon')).to include(['unit', unit.id])
    expect(hits.call(job['number'])).to include(['job', job['id']])
    expect(hits.call(battery.tag)).to include(['battery', battery.id])
    expect(hits.call('%25')).to be_empty
  end

  it 'finds a job by its number, however many units have that figure somewhere, and a unit of that name before it' do
    job = Server::Models::Job[open_job['id']]
    10.times { |index| a_unit(number: "Q#{index}-#{job.number}", batteries: false) }
    found = read("/api/find?q=#{job.number}")['found']
    expect(found.first(2)).to include(include('kind' => 'job', 'id' => job.id))
    same = a_unit(number: job.number.to_s, batteries: false)
    expect(read("/api/find?q=#{job.number}")['found'].first(2).map { |one| one['id'] }).to eq([same.id, job.id])
  end

  it 'saves what did not change, brings back what is back, and says which yard is unknown' do
    sign_in_as('lead')
    unit = a_unit
    fields = unit_fields(number: unit.number)
    2.times { write(:patch, "/api/units/#{unit.id}", { **fields, lock_version: unit.refresh.lock_version }) }
    expect(status).to eq(200)
    2.times { write(:post, "/api/units/#{unit.id}/return") }
    expect(status).to eq(200)
    write(:post, '/api/units', unit_fields(yard_id: SecureRandom.uuid).merge(id: SecureRandom.uuid))
    expect([status, error['fields']]).to eq([422, { 'yard_id' => ['is not on record'] }])
  end

  it 'says that an id belongs to another row, in its own words' do
    sign_in_as('lead')
    unit = a_unit
    write(:post, '/api/units', unit_fields.merge(id: unit.id))
    expect([status, error['code'], error['message']]).to match([409, 'id_taken', include('on record already')])
    battery = Server::Models::Battery.first
    write(:patch, "/api/batteries/#{battery.id}", { lock_version: 9, type: 'agm', rating_ampere: 800, rating_standard: 'EN' })
    expect([status, error['theirs']]).to match([409, include('lock_version' => 0)])
  end

  it 'takes an engine without battery or starter, offers no job about starting it, and works on what it has' do
    sign_in_as('electrician')
    fields = unit_fields(arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: nil, alternator_rating_ampere: nil)
    sheet = write(:post, '/api/units', { id: SecureRandom.uuid, **fields })
    expect([status, sheet['system'], sheet['positions'], sheet['batteries']]).to eq([201, 'no battery', [], []])
    %w[starting charging].each do |work|
      write(:post, '/api/jobs', { id: SecureRandom.uuid, unit_id: sheet['id'], complaint: 'x', symptom: { work: work } })
      expect([status, error['message']]).to match([422, /\AThis unit has no (starter|battery)/])
    end
    read("/api/units/#{sheet['id']}/complaints")
    expect([status, error['message']]).to eq([422, 'no sheet is fitted: fit one, and the unit has a circuit'])
    Server::Models::Sheet.bring_in_shipped
    unit = Server::Models::Unit.with_pk!(sheet['id'])
    Server::Models::UnitSheet.fit(unit, Server::Models::SheetVersion.newest_of('magneto_kill'), at: Time.now.utc)
    expect(read("/api/units/#{sheet['id']}/complaints")['things']).not_to be_empty
  end

  it 'keeps what regulator it has, and refuses one that there is not' do
    sign_in_as('electrician')
    id = SecureRandom.uuid
    sheet = write(:post, '/api/units', { id: id, **unit_fields(regulator: 'external_a', neutral_interlock: true) })
    expect(sheet).to include('regulator' => 'external_a', 'neutral_interlock' => true)
    write(:post, '/api/units', { id: SecureRandom.uuid, **unit_fields(regulator: 'magic') })
    expect([status, error['fields'].keys]).to eq([422, ['regulator']])
  end

  describe 'of another kind' do
    before { sign_in_as('electrician') }

    def enter(**facts)
      write(:post, '/api/units', { id: SecureRandom.uuid, **unit_fields(**facts) })
    end

    def job_on(unit)
      write(:post, '/api/jobs', { id: SecureRandom.uuid, unit_id: unit['id'], symptom: { work: 'starting' }, complaint: 'Clicks' })
    end

    it 'are kept as they are, and shown what their loops are' do
      kinds = [{ system_volt: 6, arrangement: 'single', battery_count: 1 }, { system_volt: 48, arrangement: 'single', battery_count: 1 },
               { regulator: 'dc_dc' }, { grounding: 'positive' }, { grounding: 'insulated' },
               { system_volt: 24, arrangement: 'series', battery_count: 2, has_equaliser: true }]
      kinds.each do |facts|
        sheet = enter(**facts)
        expect([status, sheet['loops'].map { |one| one['key'] }]).to eq([201, %w[start charge]])
        expect(sheet).to include(facts.transform_keys(&:to_s))
      end
    end

    it 'are refused where their facts do not go together, in a sentence' do
      { { has_equaliser: true } => 'has_equaliser', { grounding: 'floating' } => 'grounding', { system_volt: 36 } => 'system_volt',
        { system_volt: 48, arrangement: 'parallel', battery_count: 2 } => 'arrangement' }.each do |facts, field|
        enter(**facts)
        expect([status, error['fields'].keys]).to eq([422, [field]])
      end
    end

    it 'have their job told in their own words, cautions included' do
      bench = job_on(enter(grounding: 'positive'))
      card = bench['tests'].find { |one| one['key'] == 'ground_drop' }
      expect(card).to include('how' => 'Black on bare metal of the starter case, red on the grounded post itself. Crank three seconds.',
                              'to' => 'Grounded post')
      rest = bench['tests'].find { |one| one['key'] == 'posts_rest' }
      expect(rest['cautions'].map { |one| one['id'] }).to include('positive_ground')
      points = read("/api/jobs/#{bench['id']}/points")['points'].map { |one| one['label'] }
      expect(points.grep(/BAT\S*:[+-]/)).to eq([])
      expect(points.grep(/grounded post/)).not_to be_empty
      asked = URI.encode_www_form(by: 'volts', from: 'M1:+', to: 'BAT_A:-', situation: 'cranking')
      expect(read("/api/jobs/#{bench['id']}/expectation?#{asked}")['red_on']).to eq('to')
    end

    it 'have their readings taken and answered as any other unit' do
      bench = job_on(enter(system_volt: 6, arrangement: 'single', battery_count: 1))
      taken = take(bench['id'], 'posts_rest', '6.3')
      expect([status, taken['readings'].last.dig('judged', 'verdict')]).to eq([201, 'sound'])
    end
  end
end
