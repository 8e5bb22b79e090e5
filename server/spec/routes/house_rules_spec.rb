# frozen_string_literal: true

RSpec.describe Server::Routes::HouseRules do
  it 'shows limits with their sources and schools to everybody' do
    sign_in_as('reader')
    rules = read('/api/house-rules')
    expect(rules['limits'].map { |limit| limit['id'] }).to include('drop.ground_cranking@12', 'drop.ground_cranking@24')
    expect(rules['schools'].first).to include('key' => 'battery_pairs', 'chosen' => 'set')
  end

  it 'lets a lead choose, keeps who it was, and the step that condemns a battery follows it' do
    lead = sign_in_as('lead')
    write(:put, '/api/schools/battery_pairs', { answer: 'failed_one' })
    expect(read('/api/house-rules')['schools'].first['chosen']).to eq('failed_one')
    entry = Server::DB[:audit].where(table_name: 'school_choice').first
    expect([entry[:row_id], entry[:person_id]]).to eq(['battery_pairs', lead.id])
    expect(Server::Models::SchoolChoice.in_force.words('battery_pairs')).to include('young and strong')
  end

  it 'refuses an answer nobody has, and anybody but a lead' do
    sign_in_as('lead')
    write(:put, '/api/schools/battery_pairs', { answer: 'none' })
    expect([status, error['message']]).to match([422, include('no answer none')])
    sign_in_as('electrician')
    write(:put, '/api/schools/battery_pairs', { answer: 'failed_one' })
    expect(status).to eq(403)
  end
end
