# frozen_string_literal: true

# Readings between any two points of a unit's circuit, and jobs about anything on it.
RSpec.describe Server::Routes::Readings do
  def truck(*sheets)
    Server::Models::Sheet.bring_in_shipped
    unit = a_unit(system_volt: 24, arrangement: 'series', usual_cranking_current_ampere: 450.0)
    sheets.each { |key| Server::Models::UnitSheet.fit(unit, Server::Models::SheetVersion.newest_of(key), at: Time.now.utc) }
    unit
  end

  def job_on(unit, part: 'M2', **symptom)
    open_job(unit, symptom: { work: 'auxiliary_load', part: part, situation: 'key_on', seen: 'dead', **symptom })
  end

  def measure(job, by, from, to, value = nil, situation: 'key_on', opened: [], **rest)
    shown = { observation: value }
    shown = { value_text: value.to_s, unit: by == 'ohms' ? 'ohm' : 'V' } if value.is_a?(Numeric)
    shown = { value_text: 'OL' } if value == :overload
    write(:post, "/api/jobs/#{job}/readings", { id: SecureRandom.uuid, probe: { by: by, from: from, to: to, situation: situation, opened: opened },
                                                conditions: { value_confirmed: 'yes' }, **shown, **rest })
  end

  before { sign_in_as('electrician') }

  it 'offers what of the unit can be complained of, and opens a job about one of it' do
    unit = truck('fuel_pump')
    things = read("/api/units/#{unit.id}/complaints")['things'].to_h { |thing| [thing['part'], thing] }
    expect(things.keys).to include('M2', 'K11', 'B12')
    bench = job_on(unit)
    expect(bench['symptom']).to include('work' => 'auxiliary_load', 'words' => 'Fuel pump does nothing: key on, engine stopped')
    expect(bench['next_step']).to include('kind' => 'measure', 'title' => 'Fuel pump: what it does, key on, engine stopped')
    expect(bench['path']['feed'].first).to include('from' => 'BAT:+')
  end

  it 'refuses a complaint about what the unit does not have, or that never works in that state' do
    unit = truck('fuel_pump')
    expect(open_job(unit, symptom: { work: 'auxiliary_load', part: 'M9' })['error']['fields']).to eq('symptom.part' => ['not on this unit'])
    open_job(unit, symptom: { work: 'auxiliary_load', part: 'M2', situation: 'stopped' })
    expect([status, error['message']]).to eq([422, 'By its circuit Fuel pump does not work in that state: choose another'])
    open_job(unit, symptom: { work: 'flying' })
    expect(status).to eq(422)
  end

  it 'judges a reading at two pins on the unit\'s circuit and keeps where it was taken' do
    job = job_on(truck('fuel_pump'))['id']
    bench = measure(job, 'volts', 'K11:87', 'X8:a/1', 3.1)
    shown = bench['readings'].last
    expect(shown).to include('test_key' => nil, 'short' => 'K11:87 to X8:a/1', 'spoken' => '3.10 V', 'state' => 'key_on')
    expect(shown['judged']).to include('verdict' => 'act', 'weight' => 'proof')
    expect(bench['next_step']).to include('kind' => 'repeat', 'why' => /One reading alone mends nothing/)
    bench = measure(job, 'volts', 'K11:87', 'X8:a/1', 3.1)
    expect(bench['next_step']).to include('kind' => 'repair', 'unit' => 'wire 10', 'element_label' => 'Wire 10 green/red 4 mm2')
    row = Server::Models::Reading.where(job_id: job).eager(:from_place, :to_place).all.first
    expect([row.from_place.pin, row.to_place.pin, row.measured_by]).to eq(['87', 'a/1', 'volts'])
  end

  it 'uses the named place of a point that has a name, and makes the row of a pin once' do
    unit = truck('fuel_pump')
    job = job_on(unit)['id']
    2.times { measure(job, 'volts', 'BAT:+', 'K11:30', 0.1) }
    rows = Server::Models::Reading.where(job_id: job).eager(:from_place, :to_place).all
    expect(rows.map { |row| row.from_place.key }.uniq).to eq(['positive_post'])
    expect(rows.map(&:to_place_id).uniq.size).to eq(1)
  end

  it 'finds a point by any of its names, and keeps what was unplugged' do
    job = job_on(truck('fuel_pump'))['id']
    bench = measure(job, 'ohms', 'K11:5', 'BAT:-', :overload, situation: 'isolator_open', opened: ['X8'])
    expect(bench['readings'].last).to include('short' => 'K11:87 to Negative post')
    expect(bench['readings'].last['condition_line']).to include('isolator open, X8 unplugged')
    expect(bench['readings'].last['probe']).to eq('by' => 'ohms', 'from' => 'K11:87', 'to' => 'BAT:-', 'situation' => 'isolator_open',
                                                  'opened' => ['X8'])
    again = bench['readings'].last['probe'].then { |probe| { **probe, 'opened' => probe['opened'].join(',') } }
    card = read("/api/jobs/#{job}/expectation?#{URI.encode_www_form(again)}")
    expect([card['opened'], card['to']['node']]).to eq([['X8'], 'BAT:-'])
    expect(bench['readings'].last['judged']['summary']).to eq('OL from K11:87 to ground: nothing leads there')
  end

  it 'suspects a part that was fitted new before less, and what lies beside it more' do
    unit = truck('heater')
    unit.update(usual_cranking_current_ampere: 470.0) # tables are kept by circuit
    attempts = [{ what: 'New F8, twice', by_whom: 'driver', fitted_without_diagnosis: false }]
    job = open_job(unit, symptom: { work: 'auxiliary_load', part: 'U3', situation: 'key_on', seen: 'dead' }, attempts: attempts)
    record = -> { Server::Queries::JobRecord.new(Server::Models::Job.with_pk!(job['id'])) }
    Server::Workers::WorkOutPredictions.run(record.call.suspects.key, job['id'])
    paths = record.call.assessment.paths
    expect([paths.priors.ratios['F8'], paths.priors.ratios.except('F8').values.uniq]).to eq([0.5, [2.0]])
    expect(paths.priors.words(paths.machine.repair_units.fetch('F8'))).to eq('fitted new before this job')
  end

  it 'keeps which end of a wire was out of its pin' do
    job = job_on(truck('fuel_pump'))['id']
    off = ['X8', 'end of wire 11 in X8:b/1']
    shown = measure(job, 'ohms', 'X8:b/1', 'BAT:-', :overload, situation: 'isolator_open', opened: off)['readings'].last
    expect(shown['probe']['opened']).to match_array(off)
    expect(shown['condition_line']).to include('X8 unplugged, wire 11 out of X8:b/1')
    measure(job, 'ohms', 'X8:b/1', 'BAT:-', :overload, situation: 'isolator_open', opened: ['end of wire 11 in M2:1'])
    expect([status, error['fields'].keys]).to eq([422, ['probe.opened']])
  end

  describe 'what cannot be' do
    let(:unit) { truck('fuel_pump') }
    let(:job) { job_on(unit)['id'] }

    it 'is answered by a sentence and keeps nothing' do
      [['K11:99', 'BAT:-', 'key_on', [], 'probe.from'], ['K11:87', 'B87', 'key_on', [], 'probe.to'], ['K11:87', 'K11:87', 'key_on', [], 'probe.to'],
       ['K11:87', 'BAT:-', 'flying', [], 'probe.situation'], ['K11:87', 'BAT:-', 'key_on', ['X99'], 'probe.opened']].each do |*asked, field|
        from, to, state, opened = asked
        measure(job, 'volts', from, to, 1.0, situation: state, opened: opened)
        expect([status, error['fields'].keys]).to eq([422, [field]])
      end
      expect(Server::Models::Reading.where(job_id: job).count).to eq(0)
    end

    it 'is asked about: volts that no such unit has, ohms without their prefix' do
      odd = lambda do |by, value|
        write(:post, "/api/jobs/#{job}/readings", { id: SecureRandom.uuid, value_text: value,
                                                    probe: { by: by, from: 'K11:86', to: 'K11:85', situation: 'isolator_open' } })
        [status, error['code']]
      end
      expect(odd.call('volts', '245')).to eq([422, 'question'])
      expect(odd.call('ohms', '18')).to eq([422, 'question'])
      expect(odd.call('volts', '24.5 ohm').first).to eq(422)
    end

    it 'needs a test or two points, not both and not neither' do
      base = { id: SecureRandom.uuid, value_text: '12' }
      probe = { by: 'volts', from: 'BAT:+', to: 'BAT:-', situation: 'key_on' }
      [base, { **base, test_key: 'posts_rest', probe: probe }, { **base, probe: { **probe, nonsense: 1 } }].each do |body|
        write(:post, "/api/jobs/#{job}/readings", body)
        expect(status).to eq(422)
      end
    end
  end

  it 'corrects at the same points, withdraws, and keeps both readable' do
    job = job_on(truck('fuel_pump'))['id']
    wrong = measure(job, 'volts', 'K11:87', 'X8:a/1', 3.1)['readings'].last
    bench = write(:post, "/api/readings/#{wrong['id']}/correction", { id: SecureRandom.uuid, value_text: '0.31', unit: 'V', reason: 'misread',
                                                                      conditions: { value_confirmed: 'yes' } })
    expect(bench['readings'].map { |one| [one['spoken'], one['fate']] }).to eq([['3.10 V', 'superseded'], ['0.31 V', nil]])
    bench = write(:post, "/api/readings/#{bench['readings'].last['id']}/withdrawal", { reason: 'wrong pin' })
    expect(bench['readings'].last['fate']).to eq('withdrawn: wrong pin')
  end

  it 'says what a sound circuit shows between two points, and what it may lose' do
    job = job_on(truck('fuel_pump'))['id']
    card = read("/api/jobs/#{job}/expectation?by=volts&from=K11:87&to=X8:a/1&situation=key_on")
    expect(card['expected']).to include('limit' => 'at most 0.72 V')
    expect(card['expected']['shown']).to match(/\A0\.[34]\d V\z/)
    expect(read("/api/jobs/#{job}/expectation?by=ohms&from=K11:87&to=BAT:-&situation=key_on")['expected']['objection']).to include('ohms are void')
    read("/api/jobs/#{job}/expectation?by=volts&from=K99:1&to=BAT:-&situation=key_on")
    expect(status).to eq(422)
    expect(read("/api/jobs/#{job}/points")['points'].map { |point| point['node'] }).to include('K11:85', 'G8:8')
  end

  it 'reads between points in a starting job too, on the usual circuit of a unit that has no sheet' do
    job = open_job['id']
    bench = measure(job, 'volts', 'K2:30 lug 4', 'K2:30', 0.9, situation: 'cranking', conditions: { value_confirmed: 'yes', current_ampere: 600 })
    expect(bench['readings'].last['judged']['verdict']).to eq('act')
    expect(bench['next_step']).to include('kind' => 'repair', 'unit' => 'lug of wire 4 on K2')
  end

  it 'mends a part of the circuit, and owes it the reading that showed it' do
    job = job_on(truck('fuel_pump'))['id']
    failing = measure(job, 'volts', 'K11:87', 'X8:a/1', 24.0)['readings'].last
    mend = { id: SecureRandom.uuid, unit: 'wire 10', cause: 'chafe', action: 'repaired', minutes: 20, temporary: false,
             failing_reading_id: failing['id'] }
    bench = write(:post, "/api/jobs/#{job}/repairs", mend)
    expect(bench['repairs'].last).to include('repair_unit' => 'wire 10', 'element' => nil, 'element_label' => 'Wire 10 green/red 4 mm2')
    expect(bench['repairs'].last['proof']).to include('state' => 'missing')
    expect(bench['missing_to_close'].size).to eq(2)
    write(:post, "/api/jobs/#{job}/repairs", { **mend, id: SecureRandom.uuid, unit: 'wire 999' })
    expect([status, error['fields']]).to eq([422, { 'unit' => ['not on this unit'] }])
    write(:post, "/api/jobs/#{job}/repairs", { **mend, id: SecureRandom.uuid, element: 'starter' })
    expect(status).to eq(422)
  end

  it 'condemns a control unit from the top of its ladder only' do
    job = job_on(truck('heater'), part: 'U3', work: 'control_unit_power')['id']
    measure(job, 'seen', 'U3:A/1', 'U3:A/2', 'dead')
    write(:post, "/api/jobs/#{job}/condemnations", { id: SecureRandom.uuid, unit: 'U3' })
    expect([status, error['message']]).to eq([422, 'Heater is not proved bad: U3:A/1 to U3:A/2 under its load is missing'])
    measure(job, 'volts', 'BAT:+', 'BAT:-', 25.3)
    measure(job, 'volts', 'U3:A/1', 'U3:A/2', 24.9)
    bench = measure(job, 'volts', 'U3:A/3', 'U3:A/2', 25.1)
    # Of a fault that comes and goes each of these may have been read while it was gone.
    expect(bench['next_step']).to include('kind' => 'repeat', 'title' => /in one moment/)
    expect(bench['next_step']['probe']['conditions'].first).to include('key' => 'meanwhile', 'label' => 'Heater meanwhile')
    write(:post, "/api/jobs/#{job}/condemnations", { id: SecureRandom.uuid, unit: 'U3' })
    expect([status, error['message']]).to match([422, /is missing/])
    bench = [['U3:A/1', 24.9], ['U3:A/3', 25.1]].map do |pin, volt|
      measure(job, 'volts', pin, 'U3:A/2', volt, conditions: { value_confirmed: 'yes', meanwhile: 'dead' })
    end.last
    expect(bench['next_step']).to include('kind' => 'condemn', 'unit' => 'U3')
    expect(bench['readings'].last['condition_line']).to include('what it does meanwhile: dead')
    bench = write(:post, "/api/jobs/#{job}/condemnations", { id: SecureRandom.uuid, unit: 'U3' })
    expect(bench['condemnations'].first).to include('element_label' => 'U3, Heater')
  end

  # Evidence is never changed: it is the reopening that lies a year later.
  def reopened_after_a_year(job)
    Server::Models::JobEvent.create(job_id: job, kind: 'reopened', at: Time.now.utc + (365 * 86_400), person_id: Server::Models::Account.first.id)
    read("/api/jobs/#{job}")
  end

  it 'asks for everything again where a job is reopened after a year, and keeps what was read then' do
    job = job_on(truck('fuel_pump'))['id']
    measure(job, 'seen', 'M2:1', 'M2:2', 'dead')
    expect(measure(job, 'volts', 'BAT:+', 'BAT:-', 25.2)['next_step']['probe']['by']).to eq('volts')
    bench = reopened_after_a_year(job)
    expect(bench['next_step']['probe']['by']).to eq('seen')
    expect(bench['readings'].map { |one| one['fate'] }).to all(include('read it again'))
    expect(bench['readings'].map { |one| [one['verdict_when_taken'], one['judged']] }).to eq([['act', nil], ['sound', nil]])
  end

  it 'wants a repair of then proved again, and puts in no fuse that was blown a year ago' do
    job = job_on(truck('fuel_pump'))['id']
    measure(job, 'seen', 'M2:1', 'M2:2', 'dead')
    2.times { measure(job, 'volts', 'F15:1', 'F15:2', 25.1) }
    failing = Array.new(2) { measure(job, 'volts', 'K11:87', 'X8:a/1', 3.1) }.last['readings'].last['id']
    write(:post, "/api/jobs/#{job}/repairs", { id: SecureRandom.uuid, unit: 'wire 10', failing_reading_id: failing, minutes: 5, cause: 'chafe',
                                               action: 'replaced', temporary: false, disturbed: [] })
    bench = measure(job, 'volts', 'K11:87', 'X8:a/1', 0.01)
    expect(bench['repairs'].first['proof']['owed']).to be_nil.or be_a(String)
    bench = reopened_after_a_year(job)
    expect(bench['repairs'].first['proof']['owed']).to include('K11:87')
    expect(bench['next_step']).to include('unit' => be_nil.or(eq('wire 10')))
    expect(bench['next_step']['kind']).not_to eq('repair')
  end

  it 'shows a point reading on the unit, and takes it out as CSV' do
    unit = truck('fuel_pump')
    measure(job_on(unit)['id'], 'volts', 'K11:87', 'X8:a/1', 3.1)
    visit = read("/api/units/#{unit.id}/timeline")['entries'].find { |one| one['kind'] == 'visit' }
    expect([visit['count'], visit['text']]).to eq([1, 'K11:87 to X8:a/1 3.10 V'])
    readings = read("/api/units/#{unit.id}/visit?day=#{visit['day']}&job=#{visit['job_id']}")['readings']
    expect(readings.map { |one| one['label'] }).to eq(['Volts, K11:87, Fuel pump relay to X8:a/1, Tank plug'])
    expect(read("/api/units/#{unit.id}/readings.csv")).to include('volts,,,"K11:87, Fuel pump relay","X8:a/1, Tank plug",3.1')
  end

  it 'lets the whole circuit of a unit return its own last crank test, once its drops were sound and its temperature was said' do
    unit = a_unit
    job = open_job(unit)['id']
    cold = { 'battery_temperature_celsius' => 8, 'value_confirmed' => 'yes' }
    [['cranking_behaviour', 'normal'], ['posts_rest', '12.60'], ['posts_cranking', '10.50'], ['cranking_current', '640'], ['positive_drop', '0.24'],
     ['ground_drop', '0.14']].each do |key, answer|
      take(job, key, answer, conditions: key == 'posts_cranking' ? cold : { 'value_confirmed' => 'yes' })
    end
    table = read("/api/circuits/#{unit.id}")
    expect(table['note']).to match(/\ACranks as it was tested on \d+ \w+ \d+ at 8 degC: 10.50 V at the posts, 640 A\z/)
    cranking = table['states'].index { |state| state['key'] == 'cranking' }
    volts = table['parts'].flat_map { |part| part['pins'] }.to_h { |pin| [pin['node'], pin['volts'][cranking]] }
    expect(volts['BAT_A:+']).to be_within(0.21).of(10.5)
    expect(volts['M1:case']).to be_within(0.01).of(0.14)
  end
end
