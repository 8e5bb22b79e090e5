# frozen_string_literal: true

require_relative 'journey'

# A job worked on by the requests that its screens send, each reply held against the OpenAPI document.
module HttpBench
  include Journey

  def sign_in_as(role)
    account = Server::Models::Account.first(email: "#{role}@skarrow.example")
    from = { device: 'spec', client_address: '127.0.0.1' }
    token = Server::Models::Session.begin_for(account, from: from, now: Time.now.utc)
    set_cookie("#{Server::SessionCookie::NAME}=#{token}", URI(Requests::HOST))
  end

  # The job as the last reply gave it.
  attr_reader :bench

  # @param about [Hash] the symptom, where it is not starting: part, situation
  def open_job_on(number, complaint, **about)
    unit = Server::Models::Unit.first(number: number)
    @about = about[:part]
    symptom = about.empty? ? { work: 'starting' } : { work: 'auxiliary_load', **about }
    act('/api/jobs', id: SecureRandom.uuid, unit_id: unit.id, complaint: complaint, symptom: symptom)
    expect(status).to eq(201)
  end

  def next_step
    step = bench['next_step']
    { kind: step['kind'], test: step['test_key'], position: step['position'], element: step['element'], unit: step['unit'],
      probe: step['probe'] && probe_of(step['probe']) }.compact
  end

  # What is odd here is asked about once: "as I typed it".
  def take_reading(step, unit)
    shown = measured(step, unit)
    entered = shown.observation ? { observation: shown.observation } : { value_text: typed(step, shown) }
    return send_points(step[:probe], shown, entered) if step[:probe]

    send_reading(step, shown, entered)
    send_reading(step, shown, entered, 'value_confirmed' => 'yes') if status == 422 && error.key?('question')
    expect(status).to eq(201)
  end

  def record_repair(step)
    before = bench['readings'].reverse.find { |reading| reading['fate'].nil? && reading.dig('judged', 'verdict') == 'act' }
    act("/api/jobs/#{bench['id']}/repairs",
        id: SecureRandom.uuid, element: step[:element], unit: step[:unit], position: step[:position], minutes: 25, temporary: false,
        cause: 'corrosion', action: step[:kind] == 'condemn' ? 'replaced' : 'cleaned',
        failing_reading_id: bench['next_step']['failing_reading_id'] || before&.fetch('id'), disturbed: ['Negative lead off the battery'])
    expect(status).to eq(201)
  end

  def put_everything_back
    bench['disturbances'].reject { |one| one['put_back_at'] }.each { |one| act("/api/disturbances/#{one['id']}/put-back") }
    expect(status).to eq(200)
  end

  def close_job
    act("/api/jobs/#{bench['id']}/close", lock_version: bench['lock_version'])
    expect(bench['state']).to eq('closed')
  end

  # @return [Array<String>] parts whose repair is proved by the reading that failed
  def proved
    bench['repairs'].select { |one| one['proof']['state'] == 'proved' }.map { |one| [one['element_label'], one['position']].compact.join(' ') }
  end

  private

  # @param path [String] whose reply is the bench where it is no refusal
  def act(path, **body)
    reply = write(:post, path, body)
    @bench = reply if reply.key?('next_step')
  end

  def probe_of(card)
    { by: card['by'], from: card['from']['node'], to: card['to']['node'], situation: card['situation'], opened: card['opened'] }
  end

  def send_points(probe, measured, entered)
    said = asked(bench['next_step']['probe'], measured)
    body = { id: SecureRandom.uuid, probe: probe, **entered }
    act("/api/jobs/#{bench['id']}/readings", **body, conditions: said)
    act("/api/jobs/#{bench['id']}/readings", **body, conditions: { **said, value_confirmed: 'yes' }) if status == 422 && error.key?('question')
    expect(status).to eq(201)
  end

  def send_reading(step, measured, entered, **said)
    card = bench['tests'].find { |one| one['key'] == step[:test] }
    act("/api/jobs/#{bench['id']}/readings",
        id: SecureRandom.uuid, test_key: step[:test], position: step[:position], state: card['state'], instrument: card['instrument'],
        conditions: asked(card, measured).merge(said), acknowledged: acknowledged(card), **entered)
  end

  def asked(card, measured) = measured.conditions.slice(*card['conditions'].map { |condition| condition['key'] })
  def acknowledged(card) = card['cautions'].select { |one| one['acknowledge'] }.map { |one| one['id'] }
end
