# frozen_string_literal: true

# Starters, alternators and relays as individuals, from place to place.
RSpec.describe Server::Routes::Assets do
  before do
    Server::Models::Sheet.bring_in_shipped
    sign_in_as('electrician')
  end

  let(:unit) { a_unit(alternator_rating_ampere: 95) }
  let(:other) { a_unit(alternator_rating_ampere: 95) }

  def parts(of_unit = unit) = read("/api/units/#{of_unit.id}/parts")
  def place(key, of_unit = unit) = parts(of_unit)['places'].find { |one| one['key'] == key }
  def put_on(key, on_unit: unit, **what) = write(:post, "/api/units/#{on_unit.id}/parts", { place: key, **what })
  def fresh(tag, **rest) = { id: SecureRandom.uuid, tag: tag, **rest }

  it 'lists the places of a unit, relays of its own circuit by names that stay' do
    kinds = parts['places'].map { |one| one['kind'] }
    expect(kinds).to include('starter', 'alternator', 'relay')
    expect(place('starter')).to include('asset' => nil, 'cautions' => include(/isolator/i))
  end

  it 'fits a new one, moves it to another unit with its history, and never has it in two places' do
    put_on('starter', asset: fresh('ST-7', rating: 4.0))
    id = place('starter')['asset']['id']
    put_on('starter', on_unit: other, asset_id: id)
    expect([status, error['message']]).to match([422, /stands in another unit/])
    write(:post, "/api/units/#{unit.id}/parts/take-off", { place: 'starter' })
    put_on('starter', on_unit: other, asset_id: id)
    record = read("/api/parts/#{id}")
    expect([status, record['spoken'], record['fittings'].map { |one| [one['unit'], one['to'].nil?] }])
      .to eq([200, '4 kW', [[other.number, true], [unit.number, false]]])
    expect(parts['past'].map { |one| one['tag'] }).to eq(['ST-7'])
  end

  it 'takes off what stood there when another goes on, and has it on the shelf' do
    put_on('starter', asset: fresh('ST-1'))
    put_on('starter', asset: fresh('ST-2'))
    expect([place('starter')['asset']['tag'], parts['spares'].map { |one| one['tag'] } & %w[ST-1 ST-2]]).to eq(['ST-2', ['ST-1']])
  end

  # 95 A to 130 A: 37 % more drop, 87 % more heat (handbook of harness work).
  it 'brings the rating of a stronger alternator to the unit, and says what the old cable then bears' do
    put_on('alternator', asset: fresh('AL-3', rating: 130))
    expect(Server::Models::Unit[unit.id].alternator_rating_ampere).to eq(130)
    expect(place('alternator')['retrofit']).to include('words' => /37 % more drop and 87 % more heat/, 'checks' => include(/Case ground/))
    put_on('alternator', asset: fresh('AL-4', rating: 130))
    expect(place('alternator')['retrofit']).to be_nil
  end

  it 'tells what was read of its kind while it stood there, and nothing else' do
    write(:post, "/api/units/#{unit.id}/rounds/charge/readings", { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6' })
    put_on('alternator', asset: fresh('AL-5', rating: 95))
    write(:post, "/api/units/#{unit.id}/rounds/charge/readings",
          { id: SecureRandom.uuid, test_key: 'charging_idle', value_text: '13.4', conditions: { heater_cycle_over: 'yes', speed_as_stated: 'yes' } })
    readings = read("/api/parts/#{place('alternator')['asset']['id']}")['readings']
    expect(readings.map { |one| [one['short'], one['spoken'], one['verdict']] }).to eq([['Idle', '13.40 V', 'sound']])
  end

  it 'says that one was replaced on a job and is not entered' do
    job = open_job(unit)
    Server::Models::Repair.create(id: SecureRandom.uuid, job_id: job['id'], element: 'starter', action: 'replaced', cause: 'wear', minutes: 40,
                                  person_id: Server::Models::Account.get(:id))
    expect(place('starter')['replaced_at']).not_to be_nil
    put_on('starter', asset: fresh('ST-9'))
    expect(place('starter')['replaced_at']).to be_nil
  end

  it 'scraps one with its reason and takes it back, never while it stands in a unit' do
    put_on('starter', asset: fresh('ST-4'))
    id = place('starter')['asset']['id']
    write(:post, "/api/parts/#{id}/scrap", { reason: 'drive worn' })
    expect([status, error['message']]).to match([422, /take it off first/])
    write(:post, "/api/units/#{unit.id}/parts/take-off", { place: 'starter' })
    write(:post, "/api/parts/#{id}/scrap", { reason: 'drive worn' })
    put_on('starter', asset_id: id)
    expect([status, error['message']]).to match([422, /was scrapped/])
    expect(write(:post, "/api/parts/#{id}/keep")['scrapped_at']).to be_nil
  end

  { 'a place it has not' => [{ place: 'wheel', asset: { id: SecureRandom.uuid, tag: 'X' } }, /no such place/],
    'a rating of no such thing' => [{ place: 'alternator', asset: { id: SecureRandom.uuid, tag: 'X', rating: 5000 } }, /10 to 600 A/],
    'neither one of the shelf nor a new one' => [{ place: 'starter' }, /Part/],
    'one that is not on record' => [{ place: 'starter', asset_id: SecureRandom.uuid }, /not on record/] }.each do |name, (body, message)|
    it "refuses #{name}" do
      write(:post, "/api/units/#{unit.id}/parts", body)
      expect([status, error['message']]).to match([422, message])
    end
  end

  it 'refuses a tag that is taken, a kind that does not belong there, and people who may not' do
    write(:post, '/api/parts', fresh('R-1', kind: 'relay', rating: 85))
    relay = JSON.parse(last_response.body)['id']
    put_on('starter', asset: fresh('r-1'))
    expect([status, error['fields'].keys]).to eq([422, ['tag']])
    put_on('starter', asset_id: relay)
    expect([status, error['message']]).to match([422, /is a relay/])
    sign_in_as('driver')
    put_on('starter', asset: fresh('ST-5'))
    expect(status).to eq(403)
  end
end
