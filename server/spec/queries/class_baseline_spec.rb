# frozen_string_literal: true

# What sound sister units read in like conditions.
RSpec.describe Server::Queries::ClassBaseline do
  let(:unit) { a_unit(make: 'Spec', model: 'sisters') }
  let(:person) { Server::Models::Account.create(email: "e#{SecureRandom.hex(4)}@spec.example", name: 'E', role: 'electrician', password_hash: 'x') }

  def sister(**changes) = a_unit(make: 'Spec', model: 'sisters', batteries: false, **changes)

  def cranked(one, volt, celsius: 10.0, verdict: 'sound', days: 1)
    conditions = Sequel.pg_jsonb(celsius ? { 'battery_temperature_celsius' => celsius } : {})
    row = Server::Models::Reading.create(
      id: SecureRandom.uuid, unit_id: one.id, person_id: person.id, test_key: 'posts_cranking', quantity: 'voltage', value: volt,
      value_text: volt.to_s, unit_symbol: 'V', state: 'cranking', instrument: 'multimeter', conditions: conditions,
      taken_at: Time.now.utc - (days * 86_400)
    )
    Server::Models::Judgement.create(reading_id: row.id, verdict: verdict, validity: 'valid', weight: 'proof', core_version: '0',
                                     snapshot: Sequel.pg_jsonb({}))
    row
  end

  def of(reading) = described_class.new(unit, ['posts_cranking']).of(reading)

  it 'takes the newest of each sister, not her past' do
    sisters = Array.new(3) { sister }
    sisters.each { |one| cranked(one, 8.0, days: 300) && cranked(one, 10.6) }
    found = of(cranked(unit, 10.5))
    expect([found.count, found.median]).to eq([3, 10.6])
  end

  it 'leaves out what was not sound, another temperature, and what is retired' do
    3.times { cranked(sister, 10.6) }
    cranked(sister, 7.0, verdict: 'act')
    cranked(sister, 11.5, celsius: 30.0)
    gone = sister
    cranked(gone, 9.0)
    gone.update(retired_at: Time.now.utc)
    expect(of(cranked(unit, 10.5)).count).to eq(3)
  end

  it 'holds what was taken without a temperature against the same only' do
    3.times { cranked(sister, 10.6, celsius: nil) }
    expect([of(cranked(unit, 10.5, celsius: nil)).count, of(cranked(unit, 10.5))]).to eq([3, nil])
  end

  it 'says nothing for a unit of no class, nor of two sisters' do
    2.times { cranked(sister, 10.6) }
    expect(of(cranked(unit, 10.5))).to be_nil
    alone = a_unit
    expect(described_class.new(alone, ['posts_cranking']).of(cranked(alone, 10.5))).to be_nil
  end

  it 'stands beside the readings of a job, in a request of its own' do
    [10.6, 10.5, 10.7].each { |volt| cranked(sister, volt) }
    Server::Models::Sheet.bring_in_shipped
    sign_in_as('electrician')
    job = open_job(unit)
    low = take(job['id'], 'posts_cranking', '9.0',
               conditions: { battery_temperature_celsius: '10', engine_meanwhile: 'cranks' })['readings'].last['id']
    found = read("/api/jobs/#{job['id']}/sisters")['sisters']
    expect(found.fetch(low)).to eq('words' => 'Sound sister units: 10.60 V, give or take 0.15 V (3 of them)', 'far' => true)
  end
end
