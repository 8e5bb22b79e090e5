# frozen_string_literal: true

RSpec.describe Server::Routes::Yards do
  def named(name) = read('/api/yards')['yards'].find { |yard| yard['name'] == name }

  it 'lets a lead add a yard with its clock and change both, on the audit trail' do
    lead = sign_in_as('lead')
    write(:post, '/api/yards', { name: 'Far Quarry', time_zone: 'America/Denver' })
    expect([status, named('Far Quarry')['time_zone']]).to eq([201, 'America/Denver'])
    id = named('Far Quarry')['id']
    write(:patch, "/api/yards/#{id}", { name: 'Far Pit', time_zone: 'America/Phoenix' })
    expect([status, named('Far Pit')]).to match([200, include('id' => id, 'time_zone' => 'America/Phoenix')])
    trail = Server::DB[:audit].where(table_name: 'yard', row_id: id).order(:id).select_map(%i[action person_id])
    expect(trail).to eq([['insert', lead.id], ['update', lead.id]])
  end

  it 'offers time zones that the database can tell the time of' do
    sign_in_as('lead')
    expect(read('/api/yards')['time_zones']).to include('Europe/London', 'Asia/Kolkata').and(not_include('posix/Europe/London'))
  end

  it 'refuses a name that is taken, a clock nobody has, and anybody but a lead' do
    sign_in_as('lead')
    write(:post, '/api/yards', { name: 'Far Quarry', time_zone: 'Europe/London' })
    { { name: 'Far Quarry' } => ['name', 'is another yard already'], { time_zone: 'Europe/Atlantis' } => ['time_zone', 'is no time zone'],
      { name: '' } => ['name', 'is empty: fill it in'] }.each do |change, (field, words)|
      write(:post, '/api/yards', { name: 'Near Quarry', time_zone: 'Europe/London', **change })
      expect([status, error['fields'][field].to_a.join]).to match([422, include(words)])
    end
    sign_in_as('electrician')
    write(:post, '/api/yards', { name: 'Near Quarry', time_zone: 'Europe/London' })
    expect(status).to eq(403)
  end
end
