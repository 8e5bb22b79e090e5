# frozen_string_literal: true

# The grounds of a unit: its map, and a round that reads each before and after.
RSpec.describe Server::Routes::Grounds do
  before do
    Server::Models::Sheet.bring_in_shipped
    sign_in_as('electrician')
  end

  let(:unit) do
    a_unit(system_volt: 24, arrangement: 'series').tap do |truck|
      Server::Models::UnitSheet.fit(truck, Server::Models::SheetVersion.newest_of('grounds_truck'), at: Time.now.utc - 60)
    end
  end

  def grounds = read("/api/units/#{unit.id}/grounds")
  def ground(label) = grounds['grounds'].find { |one| one['label'].include?(label) }
  def serve(uuid, **fields) = write(:post, "/api/units/#{unit.id}/grounds/#{uuid}/services", { id: SecureRandom.uuid, **fields })

  it 'lists each with what hangs on it, in the order of a walk, all of them due until somebody looked after them' do
    map = grounds
    expect(map['grounds'].map { |one| one['label'] }).to include('G0, Battery ground on the left rail', 'Strap, Cab to frame')
    expect(ground('Rear loom')).to include('hangs' => ['Rear lamps left', 'Rear lamps right'], 'due' => true, 'last' => nil)
    expect([map['minutes'], map['cautions']]).to match([be > 60, include(include('Nobody cranks while a ground is off'))])
  end

  it 'keeps the drop before and after at the same points in milliohms, what was done, and when it is due again' do
    uuid = ground('Rear loom')['uuid']
    serve(uuid, before: { text: '210', ampere: 7 }, after: { text: '3', ampere: 7 }, done: %w[cleaned protected])
    saved = status
    last = ground('Rear loom')
    expect([saved, last['last']['before'], last['last']['after']])
      .to match([201, include('milliohm' => 30.0, 'verdict' => 'act'), include('milliohm' => 0.429, 'verdict' => 'sound')])
    again = Server::Models::Yard.day_of(Time.now.utc, 'Europe/London') >> 12
    expect([last['due'], last['due_on'], last['last']['done']]).to eq([false, again.iso8601, %w[cleaned protected]])
  end

  it 'clears none of the starter path before enough current flowed' do
    uuid = ground('Battery ground')['uuid']
    serve(uuid, after: { text: '10', ampere: 20 })
    expect(ground('Battery ground')['last']['after']).to include('verdict' => 'unproven', 'words' => include('too little flowed, read it at 300 A'))
    serve(uuid, after: { text: '20', ampere: 380 })
    expect(ground('Battery ground')['last']['after']['verdict']).to eq('sound')
  end

  it 'keeps what it was when the sheet is fitted anew, and the same rows however often they are sent' do
    uuid = ground('Cab ground')['uuid']
    body = { id: SecureRandom.uuid, before: { text: '10', ampere: 10 } }
    request = SecureRandom.uuid
    2.times { write(:post, "/api/units/#{unit.id}/grounds/#{uuid}/services", body, request_id: request) }
    expect(Server::Models::GroundService.where(unit_id: unit.id).count).to eq(1)
    expect(ground('Cab ground')['last']['before']['milliohm']).to eq(1.0)
  end

  it 'gives a unit without sheets the grounds of its usual circuit, the same ones each time' do
    plain = a_unit
    uuids = Array.new(2) { read("/api/units/#{plain.id}/grounds")['grounds'].map { |one| one['uuid'] } }
    expect(uuids.first).not_to be_empty
    expect(uuids.uniq.size).to eq(1)
  end

  it 'asks whether a figure under a millivolt was volts, and takes one with its unit for what it says' do
    uuid = ground('Rear loom')['uuid']
    asked = serve(uuid, before: { text: '0,21', ampere: 7 })['error']
    expect([asked['code'], asked['question']['test_key']]).to eq(%w[question before])
    expect(asked['question']['options'].map { |one| one['value'] }).to eq([0.21, nil])
    serve(uuid, before: { text: '0.21 V', ampere: 7 }, after: { text: '0.3 mV', ampere: 7 })
    expect(ground('Rear loom')['last'].values_at('before', 'after').map { |read| read['milliohm'] }).to eq([30.0, 0.043])
    serve(uuid, after: { text: '0.4', ampere: 7, confirmed: true })
    expect(ground('Rear loom')['last']['after']['milliohm']).to eq(0.057)
    expect(serve(uuid, after: { text: 'clean', ampere: 7 })['error']['fields'].keys).to eq(['after.text'])
  end

  it 'refuses a drop without a current, one over the system, nothing at all, a ground of another unit, and a reader' do
    uuid = ground('Cab ground')['uuid']
    expect(serve(uuid, before: { text: '100', ampere: 0 })['error']['fields'].keys).to eq(['before.ampere'])
    expect(serve(uuid, after: { text: '30000', ampere: 10 })['error']['fields'].keys).to eq(['after.text'])
    expect(serve(uuid)['error']['fields']).to eq('before' => ['read the drop before, after, or both'])
    expect([serve(SecureRandom.uuid, before: { text: '100', ampere: 5 })['error']['code'], status]).to eq(['not_found', 404])
    expect([serve('x', before: { text: '100', ampere: 5 })['error']['code'], status]).to eq(['not_found', 404])
    expect([serve(uuid, before: { text: '100', ampere: 5 }, done: ['painted'])['error']['code'], status]).to eq(['invalid_input', 422])
    sign_in_as('reader')
    expect([serve(uuid, before: { text: '100', ampere: 5 })['error']['code'], status]).to eq(['not_allowed', 403])
  end

  describe 'where it works' do
    it 'is due sooner where salt or mud comes at it, on its map and in the work of the fleet' do
      uuid = ground('Rear loom')['uuid']
      serve(uuid, after: { text: '3', ampere: 7 })
      unit.update(exposure: 'salt')
      again = Server::Models::Yard.day_of(Time.now.utc, 'Europe/London') >> 6
      expect(ground('Rear loom')['due_on']).to eq(again.iso8601)
    end

    it 'puts what is in salt before what is dry, though it was looked after later' do
      dry, salt = [400, 300].zip(%w[dry salt]).map do |days, exposure|
        a_unit(exposure: exposure).tap do |one|
          by = Server::Models::Account.first.id
          Server::Models::GroundService.create(id: SecureRandom.uuid, unit_id: one.id, item_uuid: SecureRandom.uuid, label: 'Frame', person_id: by,
                                               after_volt: 0.001, after_ampere: 10, served_at: Time.now.utc - (days * 86_400))
        end
      end
      found = Server::Queries::DueWork.new(now: Time.now.utc, only: 'grounds').call.first
      ids = found.units.map { |row| row[:id] }
      expect([found.months, ids & [dry.id, salt.id]]).to eq([{ 'dry' => 12, 'salt' => 6 }, [salt.id, dry.id]])
    end
  end

  describe 'sister units' do
    def sister(**rest)
      of_class = Server::Models::UnitClass.named('Ferrow', "R#{unit.number}")
      unit.update(unit_class_id: of_class.id)
      a_unit(system_volt: 24, arrangement: 'series', unit_class_id: of_class.id, yard_id: unit.yard_id, **rest).tap do |one|
        Server::Models::UnitSheet.fit(one, Server::Models::SheetVersion.newest_of('grounds_truck'), at: Time.now.utc - 60)
      end
    end

    it 'names those beside it, the one that waited longest first, and what the same ground came to on them' do
      uuid = ground('Rear loom')['uuid']
      sisters = [2.0, 2.2, 2.1].map do |milliohm|
        sister.tap do |one|
          write(:post, "/api/units/#{one.id}/grounds/#{uuid}/services", { id: SecureRandom.uuid, after: { text: (milliohm * 10).to_s, ampere: 10 } })
        end
      end
      never = sister
      elsewhere = sister(yard_id: another_yard.id)
      serve(uuid, after: { text: '48', ampere: 10 })
      ids = grounds['sisters'].map { |one| one['id'] }
      expect([ids.first, ids.sort]).to eq([never.id, [never, *sisters].map(&:id).sort])
      expect(ids).not_to include(elsewhere.id)
      expect(ground('Rear loom')['sisters']).to eq('words' => 'Sister units: 2.1 mohm, give or take 0.15 mohm (3 of them)', 'far' => true)
    end
  end

  describe 'a second ground' do
    def second(**fields) = write(:post, "/api/units/#{unit.id}/second-ground", { id: SecureRandom.uuid, section_mm2: 25, **fields })
    before { unit.update(alternator_rating_ampere: 80.0) }

    it 'is advised by the school of the fleet, and stands on the map until it is taken off' do
      expect(grounds['second']).to include('chosen' => false, 'section_mm2' => 25.0, 'added' => nil)
      Server::Models::SchoolChoice.create(question: 'second_ground', answer: 'second', person_id: Server::Models::Account.first.id)
      expect(grounds['second']['advice']).to start_with('25 mm2 or more, for 80 A. Prove the engine ground first')
      second(note: 'along the left rail')
      expect([status, grounds['second']['added']]).to match([201, include('section_mm2' => 25.0, 'note' => 'along the left rail')])
      second
      expect([status, last_response.body]).to match([422, include('one already')])
      write(:post, "/api/units/#{unit.id}/second-ground/removal", { reason: 'bracket cleaned instead' })
      expect([status, grounds['second']['added']]).to eq([200, nil])
    end

    it 'is no thin wire, and nothing for a unit without an alternator' do
      second(section_mm2: 6)
      expect([status, JSON.parse(last_response.body)['error']['fields']]).to eq([422, { 'section_mm2' => ['is under 16 mm2'] }])
      second(section_mm2: 'thick')
      expect(status).to eq(422)
      unit.update(alternator_rating_ampere: nil)
      second
      expect([status, grounds['second']]).to eq([422, nil])
      unit.update(alternator_rating_ampere: 80.0, grounding: 'insulated')
      second
      expect([status, grounds['second']]).to eq([422, nil])
    end
  end
end
