# frozen_string_literal: true

# Seen on the way and not mended.
RSpec.describe Server::Routes::Notices do
  before { sign_in_as('electrician') }

  let(:unit) { a_unit }

  def note(**fields) = write(:post, "/api/units/#{unit.id}/notices", { id: SecureRandom.uuid, what: 'Chewed cable', severity: 'soon', **fields })
  def end_it(notice, reason = 'taped and routed anew') = write(:post, "/api/notices/#{notice['id']}/end", { reason: reason })
  def held = read('/api/today')['lines'].select { |line| line['unit_id'] == unit.id && line['kind'] == 'held' }

  it 'stays on the unit, what holds it first, until it is dealt with' do
    note(what: 'Lamp dark', severity: 'later')
    sheet = note(what: 'Fuel on the loom', place: 'behind the tank', severity: 'holds')
    expect([status, sheet['notices'].map { |one| one['what'] }]).to eq([201, ['Fuel on the loom', 'Lamp dark']])
    expect(end_it(sheet['notices'].last)['notices'].map { |one| one['what'] }).to eq(['Fuel on the loom'])
    expect(held.map { |line| line['words'] }).to eq(['Held: Fuel on the loom, behind the tank'])
  end

  it 'lets a lead alone lift what holds a unit, and keeps the first word of two' do
    notice = note(severity: 'holds')['notices'].first
    refused = end_it(notice)
    expect([status, refused['error']['message'], held.size]).to eq([403, 'It holds the unit: a lead lifts that once it is mended', 1])
    sign_in_as('lead')
    2.times { |index| end_it(notice, "said #{index}") }
    expect([status, held, Server::Models::Notice[notice['id']].ended_because]).to eq([200, [], 'said 0'])
  end

  it 'lets a driver note what they saw, and end nothing; a reader neither' do
    sign_in_as('driver')
    notice = note['notices'].first
    expect([status, end_it(notice)['error']['code']]).to eq([201, 'not_allowed'])
    sign_in_as('reader')
    expect([note['error']['code'], status]).to eq(['not_allowed', 403])
  end

  it 'refuses what says nothing, a severity that is none, a unit and a notice that are not there' do
    expect(note(what: ' ')['error']['fields'].keys).to eq(['what'])
    expect(note(severity: 'awful')['error']['fields'].keys).to eq(['severity'])
    write(:post, "/api/units/#{SecureRandom.uuid}/notices", { id: SecureRandom.uuid, what: 'x', severity: 'soon' })
    expect(status).to eq(404)
    expect([end_it({ 'id' => SecureRandom.uuid })['error']['code'], status]).to eq(['not_found', 404])
  end
end
