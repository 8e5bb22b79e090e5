# frozen_string_literal: true

# The board: a line a unit, what it is like by its newest readings.
RSpec.describe Server::Routes::Units do
  before { sign_in_as('lead') }

  def standing(unit) = read("/api/units?yard=#{yard.id}")['units'].find { |one| one['number'] == unit.number }['standing']

  # What a fleet of thousands costs is the number of questions, not of units.
  def questions(path)
    heard = StringIO.new
    Server::DB.loggers << Logger.new(heard)
    read(path)
    heard.string.scan('SELECT').size
  ensure
    Server::DB.loggers.clear
  end

  it 'asks as much of the database for one unit as for many that were all read' do
    path = "/api/units?yard=#{yard.id}"
    tested(90)
    read(path)
    one = questions(path)
    3.times { tested(60) }
    expect(questions(path)).to eq(one)
  end

  def tested(percent)
    a_unit.tap do |unit|
      job = open_job(unit)['id']
      %w[A B].each do |position|
        take(job, 'rest_voltage', '12.6', position: position)
        take(job, 'battery_test', (percent * 8).to_s, position: position)
      end
    end
  end

  it 'has null for what was never read, and the worst battery where some were' do
    unit = tested(50)
    expect(standing(a_unit)).to include('batteries' => nil, 'charging' => nil, 'path' => nil, 'grounds' => nil,
                                        'faults' => { 'count' => 0, 'again' => nil })
    expect(standing(unit)).to include('batteries' => include('percent' => 50, 'untested' => 0, 'verdict' => 'act'), 'open' => include('jobs' => 1))
  end

  it 'stands in every order a page at a time, each unit once' do
    stub_const('Server::Queries::UnitList::PAGE', 2)
    poor = tested(50)
    good = tested(100)
    never = Array.new(3) { a_unit }
    Server::Queries::UnitList::ORDERS.each do |order|
      pages = [read("/api/units?yard=#{yard.id}&order=#{order}")]
      pages << read("/api/units?yard=#{yard.id}&order=#{order}&after=#{pages.last['after']}") while pages.last['after']
      shown = pages.flat_map { |page| page['units'].map { |row| row['number'] } }
      expect([order, shown.sort]).to eq([order, [poor, good, *never].map(&:number).sort])
      expect(shown.values_at(0, -1)).to eq([poor, good].map(&:number)) if order == 'batteries'
      expect(shown.first).to eq(poor.number) if order == 'consequence'
    end
  end

  it 'is a table for any program: no formula, nothing where nothing was read' do
    unit = tested(50)
    unit.update(name: '=1+1')
    table = CSV.parse(read("/api/board.csv?yard=#{yard.id}&order=batteries"), headers: true)
    expect([last_response.status, table.size]).to eq([200, 1])
    expect(table.first.to_h).to include('number' => unit.number, 'name' => "'=1+1", 'batteries_percent' => '50', 'charging_V_at_25_degC' => nil,
                                        'open_jobs' => '1', 'held' => 'false')
    expect(read('/api/board.csv?order=odd')['error']['fields'].keys).to eq(['order'])
  end
end
