# frozen_string_literal: true

RSpec.describe Server::Models::OwnFact do
  include Drawn

  let!(:person) { sign_in_as('electrician') }

  let(:unit) { a_unit(number: "T#{SecureRandom.hex(3)}", system_volt: 24, arrangement: 'series') }
  let(:fitted) { Server::Models::UnitSheet.fit(unit, version, at: Time.now.utc - 60) }
  let(:version) { Server::Models::Sheet.bring_in(Wattomneum::Circuits::Library::TEXTS.fetch('fuel_pump')) }

  def wire = version.to_core.wire('10')
  def fuse = version.to_core.parts.find { |part| part.kind == 'fuse' }
  def facts(item) = read("/api/circuits/#{fitted.id}/facts?item=#{item.uuid}")['facts'].to_h { |fact| [fact['field'], fact] }
  def own = read("/api/circuits/#{fitted.id}/own-facts")
  def say(**body) = write(:post, "/api/circuits/#{fitted.id}/own-facts", { item: wire.uuid, field: 'length_m', why: 'Measured', **body })

  it 'is said fact by fact, with who and why, and counts from then on' do
    reply = say_otherwise(fitted, wire, 'length_m', '12,5', why: 'Rerouted over the tank')
    expect([status, reply['name']]).to eq([201, 'wire 10'])
    expect(facts(wire)['length_m']).to include('says' => '12.5', 'sheet_says' => Wattomneum::Quantities::Figure.trim(wire.length_m, 5),
                                               'own' => include('why' => 'Rerouted over the tank', 'person' => person.name))
    say_otherwise(fitted, fuse, 'slot', '14', why: 'Holder turned round')
    expect(own['own'].map { |one| [one['name'], one.dig('fact', 'says')] }).to eq([[fuse.id, '14'], ['wire 10', '12.5']])
    table = read("/api/circuits/#{fitted.id}")
    expect([table['overridden'], table['wires'].find { |one| one['number'] == '10' }['length_m']]).to eq([2, 12.5])
    expect(read("/api/circuits/#{version.id}/own-facts")).to eq('own' => [], 'earlier' => [])
  end

  it 'is taken back with a word too, and what was said stays readable' do
    say_otherwise(fitted, wire, 'colour', 'pink', why: 'Spliced in')
    say_otherwise(fitted, wire, 'colour', nil, why: 'New loom')
    expect(own['own']).to eq([])
    expect(own['earlier'].map { |one| one.values_at('name', 'was', 'says', 'why') })
      .to eq([['wire 10', 'pink', wire.colour, 'New loom'], ['wire 10', wire.colour, 'pink', 'Spliced in']])
    expect(fitted.refresh.overrides.to_h).to eq({})
  end

  it 'is refused where somebody said otherwise meanwhile, and nothing is lost of theirs' do
    say_otherwise(fitted, wire, 'length_m', '9')
    say(was: '6.5', says: '11')
    expect([status, error['code'], error['message'], error['theirs']])
      .to match([409, 'edit_conflict', /it is 9 now/, { 'says' => '9' }])
    expect(facts(wire)['length_m']['says']).to eq('9')
  end

  it 'is refused without a word why, where it cannot be so, of nothing there, and of another version than the unit has' do
    now = facts(wire)['length_m']['says']
    { 'why' => { says: '9', why: ' ' }, 'value' => { says: 'long' }, 'tail' => { says: '9', tail: 1 } }.each do |field, body|
      say(was: now, **body)
      expect([status, error['fields'].keys]).to eq([422, [field]])
    end
    say(was: nil, says: 'x', field: 'uuid')
    expect([status, error['message']]).to match([422, /wire 10 has no uuid/])
    say(was: nil, says: 'x', item: SecureRandom.uuid)
    expect(status).to eq(422)
    before = fitted.id
    newer = Server::Models::Sheet.bring_in(version.content.sub('rating_ampere: 15', 'rating_ampere: 20'))
    Server::Models::UnitSheet.fit(unit, newer, at: Time.now.utc)
    write(:post, "/api/circuits/#{before}/own-facts", { item: wire.uuid, field: 'length_m', was: now, says: '9', why: 'x' })
    expect([status, error['message']]).to match([409, /another version of this sheet by now/])
  end

  it 'says what gave way to it' do
    load = version.to_core.parts.find { |part| part.kind == 'load' && part.fields['ohm'] }
    say_otherwise(fitted, load, 'watt', '0,9k', why: 'Another pump')
    expect(own['own'].map { |one| one['fact'].values_at('label', 'unit', 'sheet_says', 'says') })
      .to contain_exactly(['power', 'W', nil, '900'], ['resistance', 'ohm', Wattomneum::Quantities::Figure.trim(load.fields['ohm'], 5), nil])
    expect(own['own'].map { |one| one.dig('fact', 'own', 'why') }).to eq(['Another pump'] * 2)
  end

  it 'is drawn where it leads, for this unit alone, and stands out' do
    Server::Models::SheetDrawing.dataset.delete
    say_otherwise(fitted, wire, 'colour', 'pink')
    spare = version.to_core.parts.flat_map { |part| part.shares_pins? ? part.pins.map { |pin| part.node(pin) } : [] }
    to = (spare - [wire.from, wire.to]).first
    say_otherwise(fitted, wire, 'to', to, why: 'Led to the stud')
    expect(status).to eq(201)
    [fitted.id, version.id].each { |id| read("/api/circuits/#{id}/drawing") }
    Server::Workers::DrawSheets.all(Drawn::LAYOUTER)
    own, plain = [fitted.id, version.id].map { |id| read("/api/circuits/#{id}/drawing")['pictures'].first }
    ports = ->(picture) { picture['parts'].flat_map { |part| part['ports'] }.select { |port| port['wire'] == wire.uuid }.map { |port| port['pin'] } }
    expect([ports.call(own), ports.call(plain)]).to match([include(to), not_include(to)])
    marked = ->(picture) { picture['wires'].select { |one| one['own'] }.map { |one| one['number'] } }
    expect([marked.call(own), marked.call(plain)]).to eq([['10'], []])
  end

  it 'is not said by who only reads' do
    sign_in_as('reader')
    say(was: nil, says: '9')
    expect(status).to eq(403)
    expect(read("/api/circuits/#{fitted.id}/own-facts")['own']).to eq([])
  end

  it 'is said once, whatever reply was lost, and is the business of its own unit alone' do
    now = facts(wire)['length_m']['says']
    id = SecureRandom.uuid
    body = { item: wire.uuid, field: 'length_m', was: now, says: '9', why: 'Measured' }
    2.times { write(:post, "/api/circuits/#{fitted.id}/own-facts", body, request_id: id) }
    expect([status, own['earlier'], described_class.of(fitted).count]).to eq([201, [], 1])
    other = Server::Models::UnitSheet.fit(a_unit(system_volt: 24, arrangement: 'series'), version, at: Time.now.utc)
    expect(read("/api/circuits/#{other.id}/own-facts")).to eq('own' => [], 'earlier' => [])
    read("/api/circuits/#{fitted.id}/facts?item=#{SecureRandom.uuid}")
    expect(status).to eq(422)
    read("/api/circuits/#{fitted.id}/facts?item=10")
    expect(status).to eq(404)
  end

  it 'keeps what was said of a thing that the next version has not' do
    say_otherwise(fitted, wire, 'colour', 'pink', why: 'Spliced in')
    text = version.content.sub('number: "10"', 'number: "10x"').sub("uuid: #{wire.uuid}", "uuid: #{SecureRandom.uuid}")
    gone = Server::Models::Sheet.bring_in(text)
    moved = Server::Models::UnitSheet.fit(unit, gone, at: Time.now.utc)
    told = read("/api/circuits/#{moved.id}/own-facts")
    expect(told['own']).to eq([])
    expect(told['earlier'].map { |one| one.values_at('name', 'label', 'says', 'why') }).to eq([['wire 10', 'colour', 'pink', 'Spliced in']])
  end
end
