# frozen_string_literal: true

RSpec.describe Server::Queries::Today do
  before { sign_in_as('electrician') }

  def lines_of(unit) = read('/api/today')['lines'].select { |line| line['unit_id'] == unit.id }

  it 'shows a unit that is down first, its job one step away' do
    unit = a_unit
    job = open_job(unit)
    expect(lines_of(unit).first).to include('kind' => 'down', 'verdict' => 'act', 'words' => 'Just clicks', 'path' => "/jobs/#{job['id']}")
  end

  it 'shows a parked job with what is missing, and none that is closed or cancelled' do
    unit = a_unit
    job = open_job(unit)
    write(:post, "/api/jobs/#{job['id']}/park", { lock_version: job['lock_version'], reason: 'Waits for a strap' })
    expect(lines_of(unit).first).to include('kind' => 'parked', 'words' => 'Parked, missing: Waits for a strap')
    again = write(:post, "/api/jobs/#{job['id']}/reopen", { lock_version: job['lock_version'] + 1 })
    write(:post, "/api/jobs/#{job['id']}/cancel", { lock_version: again['lock_version'], reason: 'Wrong unit' })
    expect(lines_of(unit)).to be_empty
  end

  it 'shows a temporary repair from the day it is made, and as overdue once it is' do
    unit = a_unit
    job = open_job(unit)['id']
    write(:post, "/api/jobs/#{job}/repairs",
          repair_fields(temporary: true, temporary_reason: 'Part on order', temporary_until: (Date.today + 5).iso8601))
    expect(lines_of(unit).map { |line| [line['kind'], line['verdict']] }).to include(%w[temporary watch])
    Server::Models::Repair.where(job_id: job).update(temporary_until: Date.today - 2)
    expect(lines_of(unit).find { |line| line['kind'] == 'temporary' }).to include('verdict' => 'act', 'words' => include('overdue'))
  end

  it 'calls a repair overdue by the calendar of its yard, not by that of the server' do
    late_in_london = Time.utc(2026, 1, 20, 23, 30)
    verdicts = %w[Pacific/Auckland Europe/London America/Los_Angeles].map do |zone|
      unit = a_unit(yard_id: Server::Models::Yard.create(name: zone, time_zone: zone).id)
      job = open_job(unit)['id']
      write(:post, "/api/jobs/#{job}/repairs",
            repair_fields(temporary: true, temporary_reason: 'Part on order', temporary_until: '2026-01-20'))
      lines = Server::Presenters::Today.call(described_class.new(now: late_in_london).call)[:lines]
      [zone, lines.find { |line| line[:unit_id] == unit.id && line[:kind] == 'temporary' }[:verdict]]
    end
    expect(verdicts.to_h).to eq('Pacific/Auckland' => 'act', 'Europe/London' => 'watch', 'America/Los_Angeles' => 'watch')
  end

  it 'passes over battery tests that were withdrawn, corrected, or prove nothing' do
    unit = a_unit
    job = open_job(unit)['id']
    battery_line = -> { lines_of(unit).find { |line| line['kind'] == 'battery' } }
    take(job, 'rest_voltage', '12.6', position: 'A')
    take(job, 'battery_test', '790', position: 'A')
    weak = take(job, 'battery_test', '400', position: 'A')['readings'].last['id']
    take(job, 'battery_test', '795', position: 'A', conditions: {})
    expect(battery_line.call).to include('verdict' => 'act')
    write(:post, "/api/readings/#{weak}/withdrawal", { reason: 'other battery' })
    expect(battery_line.call).to be_nil
    again = take(job, 'battery_test', '400', position: 'A')['readings'].last['id']
    write(:post, "/api/readings/#{again}/correction", { id: SecureRandom.uuid, value_text: '780', reason: 'misread', conditions: Rows::ALL_SAID })
    expect(battery_line.call).to be_nil
  end

  it 'shows a battery by its newest test, and not once it was taken off' do
    unit = a_unit
    job = open_job(unit)['id']
    take(job, 'rest_voltage', '12.6', position: 'A')
    take(job, 'battery_test', '400', position: 'A')
    expect(lines_of(unit).find { |line| line['kind'] == 'battery' }).to include('verdict' => 'act', 'words' => include('Battery A'))
    take(job, 'battery_test', '790', position: 'A')
    expect(lines_of(unit).map { |line| line['kind'] }).not_to include('battery')
    take(job, 'battery_test', '400', position: 'A')
    unit.take_off('A', at: Time.now.utc)
    expect(lines_of(unit).map { |line| line['kind'] }).not_to include('battery')
  end
end
