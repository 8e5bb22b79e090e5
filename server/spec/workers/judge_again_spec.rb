# frozen_string_literal: true

RSpec.describe Server::Workers::JudgeAgain do
  # Other work of other specs may wait in the queue.
  def queued = Server::DB[:que_jobs].where(job_class: described_class.name).select_map(:args).map(&:to_a)

  # 640 A of 800 A is 80 %; of 1000 A it is 64 %, to be planned for; of 1100 A 58 %, to be replaced.
  it 'judges what was read of it on a round as what was read on a job' do
    sign_in_as('electrician')
    unit = a_unit
    battery = Server::Models::Fitting.current.first(unit_id: unit.id, position: 'A').battery
    { 'rest_voltage' => '12.62', 'battery_test' => '640' }.each do |key, text|
      write(:post, "/api/units/#{unit.id}/rounds/batteries/readings",
            { id: SecureRandom.uuid, test_key: key, position: 'A', value_text: text, conditions: Rows::ALL_SAID })
    end
    before = Server::Models::BatteryState[battery.id].verdict
    write(:patch, "/api/batteries/#{battery.id}", { lock_version: 0, type: 'flooded', rating_ampere: 1100, rating_standard: 'SAE', date_code: nil })
    described_class.run(battery.id)
    state = Server::Models::BatteryState[battery.id]
    expect([before, state.verdict, state.health_percent.round]).to eq(['watch', 'act', 58])
  end

  it 'moves the cold start of the unit in which it stands, where nobody tested it' do
    sign_in_as('electrician')
    unit = a_unit
    start = Server::Models::StartThreshold.work_out(unit).reading_celsius
    battery = Server::Models::Fitting.current.first(unit_id: unit.id, position: 'A').battery
    write(:patch, "/api/batteries/#{battery.id}", { lock_version: 0, type: 'flooded', rating_ampere: 400, rating_standard: 'SAE', date_code: nil })
    described_class.run(battery.id)
    expect(Server::Models::StartThreshold[unit.id].reading_celsius).to be > start + 1
  end

  it 'is queued inside the transaction that corrects a battery, and vanishes with it' do
    sign_in_as('electrician')
    battery = fit_battery(a_unit(batteries: false), 'A')
    write(:patch, "/api/batteries/#{battery.id}", { lock_version: 9, type: 'agm', rating_ampere: 900, rating_standard: 'EN' })
    expect([status, queued]).to eq([409, []])
    write(:patch, "/api/batteries/#{battery.id}", { lock_version: 0, type: 'agm', rating_ampere: 900, rating_standard: 'EN' })
    expect(queued).to eq([[battery.id]])
  end
end
