# frozen_string_literal: true

# Batteries as individuals: on the shelf, in a unit, through their life.
RSpec.describe Server::Routes::Batteries do
  before { sign_in_as('electrician') }

  def label(**changes)
    { id: SecureRandom.uuid, tag: "S#{SecureRandom.hex(3)}", type: 'flooded', rating_ampere: 800, rating_standard: 'SAE', date_code: 'C25',
      **changes }
  end

  def a_spare(**changes) = write(:post, '/api/batteries', label(**changes))
  def spare(battery) = read('/api/shelf')['batteries'].find { |one| one['id'] == battery['id'] }
  def check(battery, **fields) = write(:post, "/api/batteries/#{battery['id']}/checks", { id: SecureRandom.uuid, **fields })

  def charged_days_ago(battery, days)
    Server::Models::ShelfCheck.create(id: SecureRandom.uuid, battery_id: battery['id'], charged: true, checked_at: Time.now.utc - (days * 86_400),
                                      person_id: Server::Models::Account.get(:id))
  end

  it 'takes a new one onto the shelf, and says that nobody knows its charge' do
    one = a_spare
    expect([status, one['made'], spare(one).values_at('charge_percent', 'wants_charge', 'recharge_on')]).to eq([201, 'March 2025', [nil, true, nil]])
  end

  # By hand: 25 % at 6 % / 30.44 a day at 20 degC, half of that at 10: 253.67 days.
  it 'tells how much charge it has by now and when it wants charging, from when that was known' do
    one = a_spare
    check(one, charged: true)
    expect(spare(one)).to include('charge_percent' => 100, 'charge_known' => 'charged', 'wants_charge' => false,
                                  'recharge_on' => eq((Time.now.utc + (253.667 * 86_400)).to_date.iso8601))
    check(one, rest_volt: 12.45)
    expect(spare(one)).to include('charge_percent' => 75, 'charge_known' => 'read', 'wants_charge' => true)
  end

  # Flooded at 10 degC loses 3 % a month: three months after it was full it has 91 %.
  it 'loses by itself what it is known to lose' do
    one, other = Array.new(2) { a_spare }
    charged_days_ago(one, 91)
    charged_days_ago(other, 300)
    expect(spare(one)).to include('charge_percent' => 91, 'wants_charge' => false)
    expect(spare(other)).to include('charge_percent' => 70, 'wants_charge' => true)
  end

  it 'takes one that came off a unit for as charged as a unit leaves it, and says which' do
    unit = a_unit
    battery = { 'id' => Server::Models::Fitting.current.first(unit_id: unit.id, position: 'A').battery_id }
    write(:post, "/api/units/#{unit.id}/fittings/A/take-off")
    expect(spare(battery)).to include('charge_percent' => 89, 'charge_known' => 'left', 'left' => unit.number)
  end

  it 'pairs what is of one kind and near in health, and asks for a test of the others' do
    unit = a_unit
    job = open_job(unit)['id']
    { 'A' => '760', 'B' => '744' }.each do |position, ampere|
      take(job, 'rest_voltage', '12.62', position: position)
      take(job, 'battery_test', ampere, position: position)
    end
    ids = Server::Models::Fitting.current.where(unit_id: unit.id).select_map(:battery_id)
    %w[A B].each { |position| write(:post, "/api/units/#{unit.id}/fittings/#{position}/take-off") }
    untested = a_spare
    shelf = read('/api/shelf')
    pair = shelf['pairs'].find { |one| one['ids'].sort == ids.sort }
    expect(pair['words']).to start_with('95 and 93 % of their labels')
    expect(shelf['untested']).to include(untested['tag'])
  end

  it 'keeps where it was, what was read of it and what becomes of its health, wherever it stands' do
    unit = a_unit
    job = open_job(unit)['id']
    take(job, 'rest_voltage', '12.62', position: 'A')
    take(job, 'battery_test', '640', position: 'A')
    id = Server::Models::Fitting.current.first(unit_id: unit.id, position: 'A').battery_id
    write(:post, "/api/units/#{unit.id}/fittings/A/take-off")
    other = a_unit(batteries: false)
    write(:post, "/api/units/#{other.id}/fittings", { position: 'B', battery_id: id })
    record = read("/api/batteries/#{id}")
    expect(record['fittings'].map { |place| [place['unit'], place['position'], place['to'].nil?] })
      .to eq([[other.number, 'B', true], [unit.number, 'A', false]])
    expect([record['place']['unit'], record['health_percent']]).to eq([other.number, 80.0])
    expect(record['outlook']['missing']).to eq('3 readings are needed, 1 count')
    expect(record['readings'].map { |reading| reading['spoken'] }).to eq(['640 A', '12.62 V'])
  end

  it 'tests one on the shelf as well as in a unit: charge and retest, then its health, its trend and what goes with it' do
    one = a_spare
    check(one, rest_volt: 12.2, tester_ampere: 480, celsius: 12, settled: true)
    flat = read("/api/batteries/#{one['id']}")
    expect([flat['health_percent'], flat['checks'].first]).to match([nil, include('verdict' => 'unproven', 'instead' => 'Charge it and test again')])
    check(one, charged: true)
    check(one, rest_volt: 12.65, tester_ampere: 680, celsius: 12, settled: true)
    record = read("/api/batteries/#{one['id']}")
    expect([record['health_percent'], record['verdict'], record['outlook']['points'].map do |point|
      point['counts']
    end]).to eq([85.0, 'sound', [false, true]])
    expect([spare(one)['health_percent'], read('/api/shelf')['untested']]).to match([85.0, satisfy { |tags| !tags.include?(one['tag']) }])
    unit = a_unit(batteries: false)
    write(:post, "/api/units/#{unit.id}/fittings", { position: 'A', battery_id: one['id'] })
    expect(Server::Models::BatteryState[one['id']].health_percent).to eq(85.0)
    expect { Server::Models::BatteryState.work_out_all }.not_to(change { Server::Models::BatteryState[one['id']].values })
  end

  it 'judges a tester on the shelf by the label as it was corrected' do
    one = a_spare
    check(one, rest_volt: 12.65, tester_ampere: 500, celsius: 12, settled: true)
    before = Server::Models::BatteryState[one['id']]
    label = Server::Models::Battery[one['id']]
    write(:patch, "/api/batteries/#{one['id']}", { type: 'flooded', rating_ampere: 540, rating_standard: 'SAE', date_code: nil,
                                                   lock_version: label.lock_version })
    after = Server::Models::BatteryState[one['id']]
    expect([before, after].map { |state| [state.health_percent.round(1), state.verdict] }).to eq([[62.5, 'watch'], [92.6, 'sound']])
  end

  it 'asks about a tester over the label, and wants the volts before it' do
    one = a_spare
    check(one, rest_volt: 12.65, tester_ampere: 6800, celsius: 12, settled: true)
    values = error['question']['options'].map { |option| option['value'] }
    expect([status, error['question']['test_key'], values]).to eq([422, 'tester_ampere', [nil, 680.0]])
    check(one, tester_ampere: 680)
    expect([status, error['fields'].keys]).to eq([422, ['rest_volt']])
  end

  it 'scraps one with a reason, lets nobody fit it, and takes that back' do
    one = a_spare
    gone = write(:post, "/api/batteries/#{one['id']}/scrap", { reason: 'case cracked' })
    expect([gone['scrapped_because'], spare(one)]).to eq(['case cracked', nil])
    unit = a_unit(batteries: false)
    refused = write(:post, "/api/units/#{unit.id}/fittings", { position: 'A', battery_id: one['id'] })
    expect([status, refused['error']['fields']]).to eq([422, { 'battery_id' => ['was scrapped'] }])
    write(:post, "/api/batteries/#{one['id']}/keep")
    write(:post, "/api/units/#{unit.id}/fittings", { position: 'A', battery_id: one['id'] })
    expect(status).to eq(201)
    write(:post, "/api/batteries/#{one['id']}/scrap", { reason: 'x' })
    expect([status, check(one, charged: true)['error']['message']]).to eq([422, "It stands in #{unit.number}: read it there, in a job"])
  end

  it 'asks about volts that no battery rests at, and refuses a check that says nothing, a future date code, a rating that is none' do
    one = a_spare
    question = check(one, rest_volt: 12_450)['error']
    expect([question['code'], question['question']['options'].map { |option| option['value'] }]).to eq(['question', [nil, 12.45]])
    expect([check(one, rest_volt: 3.2, confirmed: true)['checks'].size, status]).to eq([1, 201])
    expect(check(one, charged: false)['error']['fields']).to eq('rest_volt' => ['say its volts at rest, or that it was charged'])
    year = Date.today.year + 1
    expect(a_spare(date_code: "A#{year % 100}").dig('error', 'code')).to eq('invalid_quantity').or eq('invalid_input')
    expect(a_spare(rating_ampere: 20).dig('error', 'fields').keys).to eq(['rating_ampere'])
  end

  # A tester set to another standard flatters: 1100 A of 800 is 138 %.
  it 'asks about a tester that gives more than any battery has' do
    job = open_job['id']
    take(job, 'rest_voltage', '12.62', position: 'A')
    asked = take(job, 'battery_test', '1100', position: 'A', conditions: Rows::ALL_SAID.except('value_confirmed'))['error']
    expect([status, asked['code'], asked['message']]).to match([422, 'question', include('138 % of its label')])
  end

  it 'finds one by its tag, wherever it is' do
    one = a_spare
    expect(read("/api/find?q=#{one['tag']}")['found']).to include('kind' => 'battery', 'id' => one['id'], 'label' => "Battery #{one['tag']}",
                                                                  'detail' => 'on the shelf')
  end

  it 'lets a driver look, and change nothing' do
    one = a_spare
    sign_in_as('driver')
    expect([spare(one)['tag'], check(one, charged: true)['error']['code'], status]).to eq([one['tag'], 'not_allowed', 403])
  end
end
