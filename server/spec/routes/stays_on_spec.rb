# frozen_string_literal: true

# Jobs about something that runs when it should be off, from the complaint to the close.
RSpec.describe Server::Routes::Jobs do
  let(:unit) do
    Server::Models::Sheet.bring_in_shipped
    a_unit(system_volt: 24, arrangement: 'series', usual_cranking_current_ampere: 450.0).tap do |unit|
      %w[fuel_pump start_24v].each { |key| Server::Models::UnitSheet.fit(unit, Server::Models::SheetVersion.newest_of(key), at: Time.now.utc) }
    end
  end

  before { sign_in_as('electrician') }

  def job(part, **symptom) = open_job(unit, symptom: { work: 'auxiliary_load', part: part, seen: 'stays_on', **symptom })

  # Whatever the step asks for, answered so.
  def follow(bench, shown)
    probe = bench['next_step']['probe']
    asked = { by: probe['by'], from: probe['from']['node'], to: probe['to']['node'], situation: probe['situation'], opened: probe['opened'] }
    shown = shown.is_a?(String) ? { observation: shown } : { value_text: shown.to_s, unit: 'V' }
    write(:post, "/api/jobs/#{bench['id']}/readings",
          { id: SecureRandom.uuid, probe: asked, conditions: { value_confirmed: 'yes', meter_proved: 'yes' }, **shown })
  end

  it 'offers the states in which it is off, key off first, and a starter for nothing else' do
    things = read("/api/units/#{unit.id}/complaints")['things'].to_h { |thing| [thing['part'], thing] }
    expect(things['M2']['off_in'].map { |one| one['key'] }).to eq(%w[stopped isolator_open])
    expect(things['M1']).to include('situations' => [], 'off_in' => include(include('key' => 'key_on')))
    open_job(unit, symptom: { work: 'auxiliary_load', part: 'M1', seen: 'dead' })
    expect([status, error['message']]).to eq([422, 'That it does not start is a complaint about starting'])
    job('M2', situation: 'key_on')
    expect([status, error['message']]).to eq([422, 'By its circuit Fuel pump is on in that state: choose another'])
  end

  it 'leads to the contact that stays closed, and closes when it is off and works when it should' do
    bench = job('M2')
    expect(bench['symptom']).to include('situation' => 'stopped', 'words' => 'Fuel pump stays on: isolator on, key off')
    bench = ['works', 25.1, 0.0].reduce(bench) { |now, shown| follow(now, shown) }
    expect(bench['next_step']['probe']).to include('opened' => ['K11'])
    bench = follow(bench, 0.0)
    expect(bench['next_step']).to include('kind' => 'repair', 'unit' => 'K11', 'title' => 'Stays closed: K11, Fuel pump relay')
    failing = bench['next_step']['failing_reading_id']
    bench = write(:post, "/api/jobs/#{bench['id']}/repairs",
                  { id: SecureRandom.uuid, unit: 'K11', failing_reading_id: failing, cause: 'wear_out', action: 'replaced', minutes: 5,
                    temporary: false })
    expect([status, bench['next_step']['kind']]).to eq([201, 'prove'])
    bench = follow(bench, 'dead')
    expect(bench['missing_to_close']).to eq(['See Fuel pump work after the repair, key on, engine stopped'])
    bench = follow(bench, 'works')
    expect(bench['next_step']['kind']).to eq('close')
  end

  it 'condemns a solenoid by its own ladder, not by that of a starter that is dead' do
    bench = ['works', 21.0].reduce(job('M1', situation: 'key_on')) { |now, shown| follow(now, shown) }
    expect(bench['next_step']['cautions'].map { |one| one['id'] }).to include('starter_stays_in')
    write(:post, "/api/jobs/#{bench['id']}/condemnations", { id: SecureRandom.uuid, unit: 'starter' })
    expect([status, error['message']]).to match([422, /is not proved bad: not called, and not fed past it is missing/])
    bench = follow(bench, 0.0)
    expect(bench['next_step']).to include('kind' => 'condemn', 'unit' => 'starter')
    bench = write(:post, "/api/jobs/#{bench['id']}/condemnations", { id: SecureRandom.uuid, unit: 'starter' })
    expect([status, bench['condemnations'].size]).to eq([201, 1])
  end

  it 'keeps a wire that was off its stud beside the reading, by what it is for ever' do
    magneto = a_unit(system_volt: 12, arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: nil)
    Server::Models::Sheet.bring_in_shipped
    Server::Models::UnitSheet.fit(magneto, Server::Models::SheetVersion.newest_of('magneto_kill'), at: Time.now.utc)
    bench = open_job(magneto, symptom: { work: 'auxiliary_load', part: 'L9', seen: 'dead' })
    expect(read("/api/jobs/#{bench['id']}/points")['plugs']).to include('id' => 'wire 8', 'label' => 'off Common kill stud')
    bench = ['dead', 0.02].reduce(bench) { |now, shown| follow(now, shown) }
    expect(bench['next_step']['cautions'].map { |one| one['id'] }).to include('kill_lead')
    bench = follow(bench, 8.9)
    expect(bench['readings'].last['condition_line']).to match(/running, idle, wire \d+ off its stud/)
    probe = { by: 'volts', from: 'L9:kill', to: 'L9:core', situation: 'idle', opened: ['wire 9'] }
    write(:post, "/api/jobs/#{bench['id']}/readings", { id: SecureRandom.uuid, probe: probe, value_text: '9', unit: 'V' })
    expect([status, error['fields']]).to eq([422, { 'probe.opened' => ['not on this unit'] }])
  end
end
