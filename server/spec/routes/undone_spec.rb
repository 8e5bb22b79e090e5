# frozen_string_literal: true

# A repair undone for its proof: read with the fault back in, mended again, read once more.
RSpec.describe 'A repair undone and redone' do # rubocop:disable RSpec/DescribeClass
  let!(:person) { sign_in_as('electrician') }
  let(:unit) do
    Server::Models::Sheet.bring_in_shipped
    a_unit(system_volt: 24, arrangement: 'series', usual_cranking_current_ampere: 450.0).tap do |unit|
      Server::Models::UnitSheet.fit(unit, Server::Models::SheetVersion.newest_of('fuel_pump'), at: Time.now.utc)
    end
  end
  let(:bench) { open_job(unit, symptom: { work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'dead' }) }
  let(:across) { { by: 'volts', from: 'X8:a/2', to: 'X8:b/2', situation: 'key_on' } }

  def take(probe, shown, **said)
    shown = shown.is_a?(String) ? { observation: shown } : { value_text: shown.to_s, unit: 'V' }
    write(:post, "/api/jobs/#{bench['id']}/readings",
          { id: SecureRandom.uuid, probe: probe, conditions: { value_confirmed: 'yes', **said }, **shown })
  end

  def between(from, to) = { by: 'volts', from: from, to: to, situation: 'key_on' }

  def mend(failing)
    write(:post, "/api/jobs/#{bench['id']}/repairs", { id: SecureRandom.uuid, unit: 'X8 pin 2', minutes: 15, temporary: false, cause: 'corrosion',
                                                       action: 'cleaned', failing_reading_id: failing['id'] })
  end

  # The plug pin is found, cleaned, and proved.
  def proved
    take({ **across, by: 'seen', from: 'M2:1', to: 'M2:2' }, 'dead')
    take(between('BAT:+', 'BAT:-'), 24.3)
    failing = take(across, -24.2)['readings'].last
    mend(failing)
    take(between('BAT:+', 'BAT:-'), 24.2)
    take(between('M2:1', 'M2:2'), 23.4)
    take(across, -0.004)
  end

  def proof(reply) = reply['repairs'].first['proof']

  it 'is isolated first, owes its proof while it is undone, and is the surest once it is redone' do
    expect(person.role).to eq('electrician')
    expect(proof(proved)).to include('state' => 'proved', 'cause_rung' => 'isolated',
                                     'undo' => hash_including('probe' => hash_including('by' => 'volts')))
    undone = take(across, -24.1, repair_undone: 'yes')
    expect(proof(undone)).to include('state' => 'missing', 'cause_rung' => nil, 'undo' => nil)
    expect(undone['readings'].last).to include('condition_line' => include('with the repair undone'), 'judged' => hash_including('verdict' => 'act'))
    expect(undone['next_step']['kind']).to eq('prove')
    redone = take(across, -0.003)
    expect(proof(redone)).to include('state' => 'proved', 'cause_rung' => 'undone_and_redone', 'undo' => nil)
  end

  it 'stays undone when it is corrected, and is refused where nothing was mended' do
    take(across, -24.1, repair_undone: 'yes')
    expect([status, error['fields']]).to eq([422, { 'conditions' => ['no repair to undo'] }])
    proved
    undone = take(across, -2.41, repair_undone: 'yes')['readings'].last
    corrected = write(:post, "/api/readings/#{undone['id']}/correction",
                      { id: SecureRandom.uuid, value_text: '-24.1', unit: 'V', reason: 'slipped digit' })
    expect([corrected['readings'].last['spoken'], proof(corrected)['state']]).to match([/24\.1/, 'missing'])
    expect(corrected['readings'].last['condition_line']).to include('with the repair undone')
  end

  it 'does not count as a reading of the unit: the unit sheet shows the one before it' do
    proved
    undone = take(across, -24.1, repair_undone: 'yes')['readings'].last
    expect(Server::Models::Reading.standing.where(id: undone['id']).empty?).to be(true)
    expect(Server::Models::Reading.standing.where(unit_id: unit.id).count).to be >= 6
  end

  it 'is one of two when a plug was off and on again in between' do
    take({ **across, by: 'seen', from: 'M2:1', to: 'M2:2' }, 'dead')
    take(between('BAT:+', 'BAT:-'), 24.3)
    failing = take(across, -24.2)['readings'].last
    noted = write(:post, "/api/jobs/#{bench['id']}/disturbances", { id: SecureRandom.uuid, what: 'K11' })['disturbances'].last
    write(:post, "/api/disturbances/#{noted['id']}/put-back", {})
    mend(failing)
    take(between('BAT:+', 'BAT:-'), 24.2)
    take(between('M2:1', 'M2:2'), 23.4)
    expect(proof(take(across, -0.004))).to include('cause_rung' => 'confounded', 'cause_words' => /\AOne of 2: X8 pin 2; K11, off and back on\. /)
  end
end
