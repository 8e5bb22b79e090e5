# frozen_string_literal: true

# What one unit will do, and what would help.
RSpec.describe Server::Presenters::UnitStart do
  before { sign_in_as('electrician') }

  def start(unit) = read("/api/units/#{unit.id}/start")
  def tester(job, position, ampere) = take(job['id'], 'battery_test', ampere, position: position)

  it 'says what to measure first of a unit that nobody cranked, and what would help, with its cautions' do
    unit = a_unit(grounding: 'positive')
    Server::Models::Night.say(yard, { dawn: Server::Models::Night.dawns(Time.now.utc).fetch(yard.id), low_celsius: -18.0 })
    forecast = start(unit)['forecast']
    expect(forecast).to include('tested' => false, 'low_celsius' => -18.0)
    expect(forecast['measure'].first['words']).to include('rank')
    charge = forecast['remedies'].find { |one| one['key'] == 'charge' }
    expect(charge).to include('degrees' => be > 0.2, 'minutes' => 15)
    expect(charge['cautions'].join).to include('Hydrogen').and include('Positive ground')
    expect(forecast['remedies'].map { |one| one['key'] }).not_to include('weaker', 'joints')
  end

  it 'weighs the weaker battery once each was tested by itself' do
    unit = a_unit
    job = open_job(unit)
    { 'A' => '760', 'B' => '420' }.each do |position, ampere|
      take(job['id'], 'rest_voltage', '12.6', position: position)
      tester(job, position, ampere)
    end
    weaker = start(unit)['forecast']['remedies'].find { |one| one['key'] == 'weaker' }
    expect(weaker).to include('words' => 'Replace battery B', 'degrees' => be > 1.0)
  end

  it 'knows nothing of a unit without a starter, and shows its mornings' do
    winch = a_unit(system_volt: 12, arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: nil, has_isolator: false, has_sense: false)
    expect(start(winch)).to include('forecast' => nil, 'mornings' => [])
    unit = a_unit
    Server::Models::Night.say(yard, { dawn: Date.today, low_celsius: -4.0 })
    write(:post, '/api/mornings', { dawn: Date.today.iso8601, entries: [{ unit_id: unit.id, outcome: 'slow' }] })
    expect(start(unit)).to include('outcome' => 'slow')
    expect(start(unit)['mornings'].first).to include('outcome' => 'slow', 'low_celsius' => -4.0)
    expect(start(unit)['forecast']['told']).to eq(1)
  end
end
