# frozen_string_literal: true

RSpec.describe Server::Routes::Readings do
  let!(:person) { sign_in_as('electrician') }
  let(:job) { open_job }
  let(:id) { job['id'] }

  def rows = Server::Models::Reading.where(job_id: id)

  it 'keeps text, unit, value, places, conditions, person and the judgement made at the time' do
    take(id, 'posts_rest', '12,61')
    row = rows.first
    expect([row.value_text, row.unit_symbol, row.value, row.person_id, row.state]).to eq(['12,61', 'V', 12.61, person.id, 'off'])
    expect(Server::Models::Place.where(id: [row.from_place_id,
                                            row.to_place_id]).select_map(:key)).to contain_exactly('positive_post', 'negative_post')
    judgement = Server::Models::Judgement.first(reading_id: row.id)
    expect([judgement.verdict, judgement.core_version,
            judgement.snapshot['limits'].first['row_id']]).to eq(['sound', Wattomneum::VERSION, 'battery.charge_least'])
  end

  it 'asks about volts where millivolts were meant, keeps nothing until it is answered' do
    take(id, 'ground_drop', '12.6', conditions: {})
    expect([status, error['code'], rows.count]).to eq([422, 'question', 0])
    expect(error['question']['options'].map { |option| option['value'] }).to include(nil, 0.0126)
    take(id, 'ground_drop', '12.6')
    expect([status, rows.count]).to eq([201, 1])
  end

  it 'asks about reversed leads' do
    take(id, 'posts_rest', '-12.6', conditions: {})
    expect(error['question']['text']).to include('wrong way round')
  end

  it 'refuses text, infinity, OL on volts, a foreign unit and an odd observation, each with what to do' do
    { { value_text: 'twelve' } => 'not a number', { value_text: '1e400' } => 'larger than any meter',
      { value_text: 'OL' } => 'too small a range',
      { value_text: '12', unit: 'ohm' } => 'no unit', {} => 'not a number' }.each do |fields, words|
      write(:post, "/api/jobs/#{id}/readings", { id: SecureRandom.uuid, test_key: 'posts_rest', **fields })
      expect([status, error['message']]).to match([422, include(words)])
    end
    write(:post, "/api/jobs/#{id}/readings", { id: SecureRandom.uuid, test_key: 'cranking_behaviour', observation: 'sings' })
    expect([status, rows.count]).to eq([422, 0])
  end

  it 'wants a battery named for a battery test only, and only places the unit has' do
    take(id, 'rest_voltage', '12.6')
    expect(error['fields']).to eq('position' => ['say which battery'])
    take(id, 'posts_rest', '12.6', position: 'A', conditions: {})
    expect(error['fields'].keys).to eq(['position'])
    hand_started = open_job(a_unit(has_sense: false))['id']
    take(hand_started, 'sense_feed', '12.2')
    expect(error['fields']).to eq('test_key' => ['this unit has no such place'])
  end

  it 'takes six cells' do
    cells = %w[1,265 1.26 1.265 1.26 1.265 1.26]
    bench = write(:post, "/api/jobs/#{id}/readings",
                  { id: SecureRandom.uuid, test_key: 'hydrometer', position: 'A', cells_text: cells,
                    conditions: { battery_temperature_celsius: '20,5' } })
    expect(bench['readings'].first['spoken']).to eq('1.265 1.260 1.265 1.260 1.265 1.260')
    write(:post, "/api/jobs/#{id}/readings", { id: SecureRandom.uuid, test_key: 'hydrometer', position: 'A', cells_text: cells.first(5) })
    expect(error['fields']).to eq('cells_text' => ['give all 6 cells'])
  end

  it 'records which cautions were acknowledged' do
    bench = take(id, 'cranking_behaviour', 'click', acknowledged: ['cranking'])
    expect(bench['readings'].first['acknowledged']).to eq(['cranking'])
  end

  it 'refuses a reading from the future' do
    take(id, 'posts_rest', '12.6', taken_at: (Time.now.utc + 3600).iso8601)
    expect(error['fields'].keys).to eq(['taken_at'])
  end

  it 'takes a doubly sent reading once and answers the same' do
    body = { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6' }
    request_id = SecureRandom.uuid
    answers = Array.new(2) { write(:post, "/api/jobs/#{id}/readings", body, request_id: request_id) }
    expect(answers.first).to eq(answers.last)
    expect(rows.count).to eq(1)
  end

  it 'calls the same request id with another body a conflict' do
    request_id = SecureRandom.uuid
    %w[12.6 12.7].each do |text|
      write(:post, "/api/jobs/#{id}/readings", { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: text }, request_id: request_id)
    end
    expect([status, error['code'], rows.count]).to eq([409, 'request_conflict', 1])
  end

  it 'wants a request id' do
    write(:post, "/api/jobs/#{id}/readings", { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6' }, request_id: 'twice')
    expect(status).to eq(400)
  end

  it 'leaves nothing behind of a refused request, so that the same id may go out corrected' do
    request_id = SecureRandom.uuid
    write(:post, "/api/jobs/#{id}/readings", { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: 'x' }, request_id: request_id)
    write(:post, "/api/jobs/#{id}/readings", { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6' }, request_id: request_id)
    expect(status).to eq(201)
  end

  describe 'corrections' do
    before { take(id, 'posts_rest', '21.6') }

    def correct(text, reason: 'read the wrong range', **rest)
      write(:post, "/api/readings/#{rows.order(:received_at).first.id}/correction",
            { id: SecureRandom.uuid, value_text: text, reason: reason, **rest })
    end

    it 'supersedes with a reason; the first reading stays readable and no longer counts' do
      bench = correct('12.6')
      expect(bench['readings'].map { |row| [row['spoken'], row['fate']] }).to contain_exactly(['21.60 V', 'superseded'], ['12.60 V', nil])
      expect(bench['readings'].find { |row| row['fate'].nil? }['correction_reason']).to eq('read the wrong range')
    end

    it 'wants a reason, and is made once only' do
      correct('12.6', reason: ' ')
      expect(error['fields']).to eq('reason' => ['is empty: fill it in'])
      correct('12.6')
      correct('12.7')
      expect([status, error['code']]).to eq([409, 'edit_conflict'])
    end

    it 'leaves a withdrawn reading withdrawn: it is neither corrected nor withdrawn again, and says so' do
      2.times { write(:post, "/api/readings/#{rows.first.id}/withdrawal", { reason: 'wrong unit' }) }
      expect([status, Server::Models::Withdrawal.where(reading_id: rows.first.id).count]).to eq([201, 1])
      correct('12.6')
      expect([status, error['message']]).to match([422, include('was withdrawn and stays so')])
    end

    it 'withdraws with a reason' do
      bench = write(:post, "/api/readings/#{rows.first.id}/withdrawal", { reason: 'wrong unit' })
      expect([bench['readings'].first['fate'], bench['readings'].first['judged']]).to eq(['withdrawn: wrong unit', nil])
    end
  end

  it 'shows when a later reading changed what an earlier one is worth' do
    take(id, 'cranking_behaviour', 'click')
    take(id, 'posts_rest', '12.6')
    take(id, 'posts_cranking', '12.4')
    take(id, 'ground_drop', '0.04')
    bench = take(id, 'cranking_current', 560)
    drop = bench['readings'].find { |row| row['test_key'] == 'ground_drop' }
    expect([drop['verdict_when_taken'], drop['judged']['verdict']]).to eq(%w[unproven sound])
  end
end
