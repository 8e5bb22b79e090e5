# frozen_string_literal: true

# What lists show of a battery is a row beside its readings: held here against what its readings themselves say, and against a rebuild.
RSpec.describe Server::Models::BatteryState do
  before { sign_in_as('electrician') }

  def battery(unit, position) = Server::Models::Fitting.current.first(unit_id: unit.id, position: position).battery
  def state(unit, position = 'A') = described_class[battery(unit, position).id]

  def a_tested_unit
    unit = a_unit
    job = open_job(unit)['id']
    take(job, 'rest_voltage', '12.6', position: 'A')
    take(job, 'battery_test', '640', position: 'A')
    [unit, job]
  end

  it 'follows each test, its correction and its withdrawal in the write that makes it' do
    unit, job = a_tested_unit
    expect([state(unit).health_percent, state(unit).verdict, state(unit).rest_volt]).to eq([80.0, 'watch', 12.6])
    last = take(job, 'battery_test', '400', position: 'A')['readings'].last['id']
    expect([state(unit).health_percent, state(unit).verdict]).to eq([50.0, 'act'])
    better = write(:post, "/api/readings/#{last}/correction",
                   { id: SecureRandom.uuid, value_text: '760', reason: 'misread', conditions: Rows::ALL_SAID })['readings'].last['id']
    expect([state(unit).health_percent, state(unit).verdict]).to eq([95.0, 'sound'])
    write(:post, "/api/readings/#{better}/withdrawal", { reason: 'other battery' })
    expect(state(unit).health_percent).to eq(80.0)
  end

  it 'follows what an earlier reading is worth by now: once nobody knows its charge, no test of it counts' do
    unit, job = a_tested_unit
    write(:post, "/api/readings/#{read("/api/jobs/#{job}")['readings'].first['id']}/withdrawal", { reason: 'other battery' })
    expect(state(unit).values.values_at(:verdict, :health_percent, :rest_volt)).to eq([nil, nil, nil])
  end

  it 'follows a corrected label' do
    unit, = a_tested_unit
    one = battery(unit, 'A')
    write(:patch, "/api/batteries/#{one.id}", { type: 'flooded', rating_ampere: 1000, rating_standard: 'SAE', date_code: nil, lock_version: 0 })
    expect([status, state(unit).health_percent]).to eq([200, 64.0])
  end

  it 'is the same when all are worked out anew, and has nothing of a battery that nobody read' do
    unit, = a_tested_unit
    rows = -> { described_class.where(battery_id: %w[A B].map { |position| battery(unit, position).id }).order(:battery_id).map(&:values) }
    before = rows.call
    described_class.dataset.delete
    described_class.work_out_all
    expect(rows.call.reject { |row| row[:tested_at].nil? && row[:rest_at].nil? }).to eq(before.reject { |row| row[:tested_at].nil? })
    expect(state(unit, 'B').values.except(:battery_id).values).to all(be_nil)
  end
end
