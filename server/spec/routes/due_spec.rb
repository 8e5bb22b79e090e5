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

  it 'refuses a kind that there is not' do
    read('/api/due?kind=oil')
    expect(status).to eq(422)
  end
end
