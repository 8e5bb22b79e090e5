# frozen_string_literal: true

# What is watched until a day, and what is due by kind of work.
RSpec.describe Server::Routes::Today do
  before { sign_in_as('electrician') }

  let(:unit) { a_unit }

  def watch(**rest) = write(:post, "/api/units/#{unit.id}/notices", { id: SecureRandom.uuid, what: 'Slow now and then', severity: 'watch', **rest })
  def watched = read('/api/today')['lines'].select { |line| line['kind'] == 'watched' && line['unit_id'] == unit.id }
  def due(kind) = read("/api/due?kind=#{kind}")['kinds'].first

  def read_days_ago(days)
    write(:post, "/api/units/#{unit.id}/rounds/start/readings",
          { id: SecureRandom.uuid, test_key: 'posts_cranking', value_text: '10.4', taken_at: (Time.now.utc - (days * 86_400)).iso8601 })
  end

  it 'keeps a watch with who is suspected and until when, and asks for a decision on that day' do
    watch(suspects: 'ground of the block', until: (Date.today + 9).iso8601)
    expect(watched.map { |line| [line['verdict'], line['words']] }).to match([['watch', /Suspected: ground of the block\. Until/]])
    Server::Models::Notice.where(unit_id: unit.id).update(until: Date.today - 2)
    expect(watched.first).to include('verdict' => 'act', 'action' => 'Decide', 'words' => /The watch ended/)
  end

  it 'wants a day for a watch, and only for a watch' do
    watch
    expect([status, error['fields'].keys]).to eq([422, ['until']])
    watch(severity: 'soon', until: Date.today.iso8601)
    expect([status, error['fields'].keys]).to eq([422, ['until']])
  end

  it 'tells a round that is due again, longest ago first, and counts apart where it was never made' do
    before = due('start')
    read_days_ago(800)
    found = due('start')
    expect([found['count'] - before['count'], found['never'] - before['never'], found['units'].first]).to match([1, 0, include('unit_id' => unit.id)])
    read_days_ago(3)
    expect(due('start')['count']).to eq(before['count'])
  end

  it 'tells grounds by the last time any of them was looked after, and never counts what has none to look after as due' do
    Server::Models::Sheet.bring_in_shipped
    uuid = read("/api/units/#{unit.id}/grounds")['grounds'].first['uuid']
    before = due('grounds')
    write(:post, "/api/units/#{unit.id}/grounds/#{uuid}/services", { id: SecureRandom.uuid, after: { text: '3', ampere: 20 } })
    expect([status, due('grounds')['never'] - before['never'], due('grounds')['count'] - before['count']]).to eq([201, -1, 0])
    late = a_unit
    Server::Models::GroundService.create(id: SecureRandom.uuid, unit_id: late.id, item_uuid: SecureRandom.uuid, label: 'G1', after_volt: 0.01,
                                         after_ampere: 20.0, person_id: Server::Models::Account.get(:id), served_at: Time.now.utc - (900 * 86_400))
    expect(due('grounds')['units'].first).to include('unit_id' => late.id, 'path' => "/units/#{late.id}/grounds")
  end

  it 'goes by the interval that the fleet has set, and by what stands: not by what was withdrawn' do
    read_days_ago(200)
    before = due('start')['count']
    sign_in_as('lead')
    write(:put, '/api/limits/round.start_months', { value: 6, reason: 'hard winters' })
    expect([status, due('start')['months'], due('start')['count'] - before]).to match([200, 6, be >= 1])
    id = Server::Models::Reading.first(unit_id: unit.id).id
    found = due('start')
    write(:post, "/api/units/#{unit.id}/rounds/start/readings/#{id}/withdrawal", { reason: 'wrong unit' })
    expect([due('start')['count'] - found['count'], due('start')['never'] - found['never']]).to eq([-1, 1])
  end

  it 'refuses a kind that there is not' do
    read('/api/due?kind=oil')
    expect(status).to eq(422)
  end
end
