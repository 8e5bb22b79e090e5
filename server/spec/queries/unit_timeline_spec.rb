# frozen_string_literal: true

# What happened to a unit, by visits, a page at a time.
RSpec.describe Server::Queries::UnitTimeline do
  before { sign_in_as('electrician') }

  let(:unit) { a_unit }

  def timeline(query = '') = read("/api/units/#{unit.id}/timeline#{query}")
  def visits(page = timeline) = page['entries'].select { |entry| entry['kind'] == 'visit' }

  # Readings of a round long ago, which no job asked for.
  def round(days_ago, **tests)
    tests.each do |key, value|
      row = { id: SecureRandom.uuid, unit_id: unit.id, person_id: Server::Models::Account.get(:id), test_key: key.to_s,
              quantity: 'voltage', value: value, value_text: value.to_s, unit_symbol: 'V', state: 'cranking',
              instrument: 'multimeter', conditions: Sequel.pg_jsonb({}),
              taken_at: Time.now.utc - (days_ago * 86_400) }
      Server::Models::Reading.create(row)
    end
  end

  it 'takes what was read for one job on one day as one visit, with what it came to, the worst first' do
    job = open_job(unit)
    take(job['id'], 'rest_voltage', '12.6', position: 'A')
    take(job['id'], 'battery_test', '744', position: 'A')
    take(job['id'], 'cranking_behaviour', 'click')
    take(job['id'], 'posts_cranking', '12.3', conditions: { 'value_confirmed' => 'yes', 'battery_temperature_celsius' => 18 })
    take(job['id'], 'ground_drop', '1.62')
    visit = visits.first
    expect(visit).to include('title' => "Job #{job['number']}", 'said' => 'Just clicks', 'count' => 5, 'verdict' => 'act')
    expect(visit['text']).to match(/\AA 93 %, .*Ground drop 1.62 V/)
    opened = read("/api/units/#{unit.id}/visit?day=#{visit['day']}&job=#{job['id']}")['readings']
    expect(opened.map { |one| one['spoken'] }).to eq(['12.60 V', '744 A', 'One click, no crank', '12.30 V', '1.62 V'])
    expect(timeline['entries'].map { |entry| entry['kind'] }).to include('job', 'fitted')
  end

  it 'names a round without a job by what it held, and says nothing of what was withdrawn' do
    round(3, posts_cranking: 10.4, ground_drop: 0.1)
    expect(visits.map { |visit| [visit['title'], visit['count']] }).to eq([['Crank round', 2]])
    gone = Server::Models::Reading.first(unit_id: unit.id, test_key: 'ground_drop')
    Server::Models::Withdrawal.create(reading_id: gone.id, reason: 'slipped', person_id: gone.person_id)
    expect(visits.first['count']).to eq(1)
  end

  it 'says of a unit that nobody read yet which batteries came and went' do
    unit.take_off('A', at: Time.now.utc)
    expect([timeline['entries'].map { |entry| entry['kind'] }, timeline['before']]).to eq([%w[taken_off fitted fitted], nil])
  end

  it 'tells what was noticed and what was done about it, and rounds along the grounds' do
    seen = { id: SecureRandom.uuid, what: 'Worn sheath', place: 'left', severity: 'soon' }
    notice = write(:post, "/api/units/#{unit.id}/notices", seen)['notices'].first
    write(:post, "/api/notices/#{notice['id']}/end", { reason: 'taped' })
    read("/api/units/#{unit.id}/grounds")['grounds'].first(2).each do |ground|
      write(:post, "/api/units/#{unit.id}/grounds/#{ground['uuid']}/services", { id: SecureRandom.uuid, before: { text: '3', ampere: 10 } })
    end
    told = timeline['entries'].map { |entry| entry.values_at('title', 'said', 'text') }
    expect(told).to include(['Noticed', 'Worn sheath, left', ''], ['Dealt with', 'Worn sheath: taped', ''], ['Ground round', nil, '2 grounds read'])
  end

  it 'goes on from page to page without a gap, each event once' do
    stub_const('Server::Queries::UnitTimeline::PAGE', 2)
    5.times { |index| round(10 + index, posts_cranking: 10.0 + index) }
    pages = [timeline]
    pages << timeline("?before=#{URI.encode_www_form_component(pages.last['before'])}") while pages.last['before']
    entries = pages.flat_map { |page| page['entries'] }
    expect(entries.select { |entry| entry['kind'] == 'visit' }.map { |visit| visit['text'] })
      .to eq(['Posts, cranking 10.00 V', 'Posts, cranking 11.00 V', 'Posts, cranking 12.00 V', 'Posts, cranking 13.00 V', 'Posts, cranking 14.00 V'])
    expect([entries.uniq.size, pages.size]).to eq([entries.size, 3])
    expect(entries.map { |entry| entry['at'] }).to eq(entries.map { |entry| entry['at'] }.sort.reverse)
  end

  it 'counts days by the clock of the yard' do
    unit.yard.update(time_zone: 'Pacific/Auckland')
    round((Time.now.utc - Time.utc(2026, 6, 1, 13, 0)) / 86_400.0, posts_cranking: 10.5)
    expect(visits.map { |visit| visit['day'] }).to eq(['2026-06-02'])
  end

  it 'refuses a day or a page that is none, and knows no visit of another unit' do
    { "/api/units/#{unit.id}/visit" => 'day', "/api/units/#{unit.id}/visit?day=x" => 'day', "/api/units/#{unit.id}/timeline?before=soon" => 'before' }
      .each do |path, field|
        refused = read(path)
        expect([status, refused.dig('error', 'fields')&.keys]).to eq([422, [field]]), path
      end
    round(1, posts_cranking: 10.4)
    other = a_unit
    expect(read("/api/units/#{other.id}/visit?day=#{visits.first['day']}")['readings']).to eq([])
  end

  it 'takes as little memory for years of readings as for a week: the file comes a lot at a time' do
    stub_const('Server::Queries::ReadingHistory::LOT', 3)
    8.times { |index| round(10 + index, posts_cranking: 10.0 + index) }
    rows = Server::Queries::ReadingHistory.new(unit_id: unit.id)
    expect(rows.map { |row| row[:value] }).to eq([17.0, 16.0, 15.0, 14.0, 13.0, 12.0, 11.0, 10.0])
    first = Server::Presenters::ReadingsCsv.new(rows).to_enum(:each).first(2)
    expect(first.map { |line| line[/\A[^,]+,[^,]+/] }.first).to eq('reading_id,taken_at')
  end
end
