# frozen_string_literal: true

# Several readings of one crank, taken in one act.
RSpec.describe Server::Models::SameAct do
  before { sign_in_as('electrician') }

  let(:id) { open_job['id'] }

  def rows = Server::Models::Reading.where(job_id: id)
  def beside(test_key, text, **rest) = { id: SecureRandom.uuid, test_key: test_key, value_text: text, unit: 'V', **rest }
  def confirmed = { conditions: { value_confirmed: 'yes' } }

  def crank(*together, text: '11.4', **rest)
    write(:post, "/api/jobs/#{id}/readings",
          { id: SecureRandom.uuid, test_key: 'ground_drop', value_text: text, unit: 'V', together: together,
            conditions: { value_confirmed: 'yes', engine_meanwhile: 'does not turn' }, **rest })
  end

  def click
    take(id, 'cranking_behaviour', 'click')
  end

  it 'offers what is read in the same crank, and keeps all of it at one moment, with what the engine did' do
    expect(click['next_step']).to include('test_key' => 'ground_drop', 'together' => %w[positive_drop posts_cranking solenoid_signal])
    bench = crank(beside('positive_drop', '0,1', **confirmed), beside('posts_cranking', '12.3'))
    expect([status, rows.count]).to eq([201, 4])
    kept = rows.exclude(test_key: 'cranking_behaviour').all
    expect(kept.map(&:taken_at).uniq.size).to eq(1)
    expect(kept.map { |row| row.conditions['engine_meanwhile'] }.uniq).to eq(['does not turn'])
    expect(bench['readings'].last(3).map { |one| one['judged']['verdict'] }).to include('act')
    expect(Server::Models::Judgement.where(reading_id: kept.map(&:id)).count).to eq(3)
  end

  it 'keeps nothing where one of them is asked about or cannot be read, and says which' do
    click
    crank(beside('positive_drop', '0.1', **confirmed), beside('posts_cranking', '123'))
    expect([status, error['code'], error['question']['test_key'], rows.count]).to eq([422, 'question', 'posts_cranking', 1])
    crank(beside('positive_drop', 'lots'))
    expect([status, error['fields'].keys, rows.count]).to eq([422, ['together.positive_drop'], 1])
    expect(error['message']).to start_with('Positive drop, post to starter stud: ')
  end

  it 'refuses what is not of the same act' do
    click
    crank(beside('posts_rest', '12.6'))
    expect([status, error['fields']]).to eq([422, { 'together.posts_rest' => ['is not read in the same state'] }])
    crank(beside('ground_drop', '0.1'))
    expect([status, error['fields']['together']]).to eq([422, ['names a test twice']])
    crank(*Array.new(6) { beside('positive_drop', '0.1') })
    expect(status).to eq(422)
    write(:post, "/api/jobs/#{id}/readings", { id: SecureRandom.uuid, test_key: 'rest_voltage', position: 'A', value_text: '12.6',
                                               together: [beside('positive_drop', '0.1')] })
    expect([status, error['fields']['together']]).to eq([422, ['goes with a test that the whole unit has']])
    expect(rows.count).to eq(1)
  end

  it 'is kept once when it is sent twice, and not with an id that is taken' do
    click
    body = [beside('positive_drop', '0.1', **confirmed)]
    taken = rows.first.id
    crank(beside('positive_drop', '0.1', id: taken, **confirmed))
    expect([status, rows.count]).to eq([409, 1])
    2.times { crank(*body, id: '3b1c4f0e-7a53-4a59-9d0f-0a4fb6a4b001') }
    expect(rows.count).to eq(3)
  end

  it 'counts nothing that was read while the engine cranked' do
    click
    bench = crank(beside('posts_cranking', '11.0'), text: '0.05', conditions: { value_confirmed: 'yes', engine_meanwhile: 'cranks' })
    expect(bench['readings'].last(2).map { |one| one['judged']['validity'] }).to eq(%w[void void])
    expect(bench['next_step']).to include('test_key' => 'ground_drop', 'why' => include('Read while it cranked'))
  end

  it 'says of all of it that the repair was undone for it' do
    click
    failing = crank['readings'].last['id']
    write(:post, "/api/jobs/#{id}/repairs", repair_fields(failing_reading_id: failing))
    bench = crank(beside('positive_drop', '0.1', **confirmed), conditions: { value_confirmed: 'yes', repair_undone: 'yes' })
    expect(bench['readings'].last(2).map { |one| one['conditions']['repair_undone'] }).to eq(%w[yes yes])
  end
end
