# frozen_string_literal: true

require 'csv'

RSpec.describe Server::Presenters::ReadingsCsv do
  before { sign_in_as('electrician') }

  def table(unit_id) = CSV.parse(read("/api/units/#{unit_id}/readings.csv"), headers: true)

  it 'holds the value in base units, the text as entered, the conditions and the fate of every reading' do
    unit = a_unit
    job = open_job(unit)['id']
    take(job, 'block_strap_drop', '210', unit: 'mV')
    take(job, 'rest_voltage', '12,62', position: 'A')
    rows = table(unit.id)
    drop = rows.find { |row| row['test'] == 'block_strap_drop' }
    expect(drop.to_h).to include('value' => '0.21', 'unit' => 'V', 'entered' => '210 mV', 'from' => 'Engine block', 'to' => 'Frame',
                                 'state' => 'cranking')
    rest = rows.find { |row| row['test'] == 'rest_voltage' }
    expect([rest['position'], rest['battery_tag'], rest['conditions']]).to match(['A', match(/\AT\h+/), include('tested_alone=yes')])
  end

  it 'keeps superseded and withdrawn readings, and says so' do
    unit = a_unit
    job = open_job(unit)['id']
    first = take(job, 'posts_rest', '12.1')['readings'].last['id']
    write(:post, "/api/readings/#{first}/correction", { id: SecureRandom.uuid, value_text: '12.6', reason: 'Slipped', conditions: {} })
    second = take(job, 'posts_cranking', '10.4')['readings'].last['id']
    write(:post, "/api/readings/#{second}/withdrawal", { reason: 'Lead fell off' })
    rows = table(unit.id).to_h { |row| [row['reading_id'], row] }
    expect([rows[first]['superseded_by'], rows[second]['withdrawn_because']]).to match([match(/\A\h{8}-/), 'Lead fell off'])
  end

  # A table program would run what begins with = + - or @.
  it 'gives text that a table program would run a quote in front, and leaves numbers alone' do
    unit = a_unit
    job = open_job(unit)['id']
    reading = take(job, 'posts_rest', '12.1')['readings'].last['id']
    write(:post, "/api/readings/#{reading}/withdrawal", { reason: '=HYPERLINK("x")' })
    expect(table(unit.id).first['withdrawn_because']).to eq("'=HYPERLINK(\"x\")")
    expect(described_class.new([]).to_enum(:each).to_a).to eq(["#{described_class::HEADERS.join(',')}\n"])
  end
end
