# frozen_string_literal: true

RSpec.describe Server::Routes::Circuits do
  before { Server::Models::Sheet.bring_in_shipped }

  def newest(key) = Server::Models::SheetVersion.newest_of(key)

  def truck(*keys)
    a_unit(system_volt: 24, arrangement: 'series', batteries: false).tap do |unit|
      keys.each { |key| Server::Models::UnitSheet.fit(unit, newest(key), at: Time.now.utc - 60) }
    end
  end

  def fitted(unit, key) = Server::Models::UnitSheet.current.first(unit_id: unit.id, sheet_id: newest(key).sheet_id)

  describe 'for everybody who may read' do
    let(:unit) { truck('ecu_power', 'fuel_pump') }
    let(:sheet) { fitted(unit, 'ecu_power').id }

    before { sign_in_as('reader') }

    it 'lists all sheets, and by class the sheets of its units with how many have them' do
      tarn = Server::Models::UnitClass.named('Tarn', SecureRandom.hex(3))
      sisters = Array.new(2) { truck('ecu_power') } << unit
      Server::Models::Unit.where(id: sisters.map(&:id)).update(unit_class_id: tarn.id)
      library = read('/api/circuits')
      expect(library['sheets'].map { |one| one['key'] }).to include('ecu_power', 'bus_backbone')
      ours = library['classes'].find { |one| one['id'] == tarn.id }
      expect([ours['label'], ours['count'], ours['sheets'].to_h { |one| [one['key'], one['units']] }])
        .to eq([tarn.label, 3, { 'ecu_power' => 3, 'fuel_pump' => 1 }])
      expect(ours['units'].map { |one| one['number'] }).to eq(sisters.map(&:number).sort)
    end

    it 'names the first units of a class and says how many there are' do
      stub_const('Server::Queries::CircuitsByClass::NAMED', 2)
      tarn = Server::Models::UnitClass.named('Tarn', SecureRandom.hex(3))
      Server::Models::Unit.where(id: Array.new(3) { truck('fuel_pump').id }).update(unit_class_id: tarn.id)
      ours = read('/api/circuits')['classes'].find { |one| one['id'] == tarn.id }
      expect([ours['units'].size, ours['count']]).to eq([2, 3])
    end

    it 'shows a sheet as a table, volts in every key state, null where nothing leads' do
      table = read("/api/circuits/#{sheet}")
      pin = table['parts'].find { |part| part['id'] == 'A1' }['pins'].find { |one| one['name'] == 'A/1' }
      expect([pin['wires'], pin['volts'].last.round]).to eq([['18'], 25])
      expect(table['unit']['number']).to eq(unit.number)
    end

    it 'answers for a pin: expected in each state, both paths, the net' do
      answer = read("/api/circuits/#{sheet}/pin?pin=A1:A/1&state=running")
      expect(answer['expected'].map { |one| one['key_state'] }).to eq(%w[off isolator_on key_on cranking running])
      expect(answer['to_supply']['steps'].map { |step| step['item'] }).to include('K10', 'F10', 'F1')
      expect(answer['to_ground']['complete']).to be(true)
      expect(read("/api/circuits/#{sheet}/pin?pin=A1:A/31&state=running")['role']).to eq('low side, after 0.1 s')
    end

    it 'follows a wire, opens an item, tells what stays live, and ranks common causes' do
      expect(read("/api/circuits/#{sheet}/wire?number=66")['net']['runs'].size).to eq(7)
      expect(read("/api/circuits/#{sheet}/opening?item=G6")['effects'].map { |effect| effect['key'] }).to include('A1', 'Y51')
      expect(read("/api/circuits/#{sheet}/live?item=F10&state=running")['terminals'].map { |one| one['pin'] }).to include('K10:86')
      pump = fitted(unit, 'fuel_pump').id
      answer = read("/api/circuits/#{pump}/common-cause?dead=M2")
      expect(answer['next_look']['key']).to eq('K11')
      expect(answer['next_look']['answers'].find { |one| one['word'] == 'dead' }['items'].map { |item| item['key'] }).to include('G8')
      best = read("/api/circuits/#{pump}/common-cause?dead=K11,M2,B12&working=")['causes'].first
      expect([best['items'].map { |item| item['key'] }, best['kinds'].first, best['as_likely']]).to match([include('G8'), 'open', true])
    end

    it 'explains what is weak, what reads too high and what was seen in one key state, and says which it was' do
      allow(Server::Queries::Machines).to receive(:most_steps).and_return(30_000_000)
      cause = ->(words) { read("/api/circuits/#{sheet}/common-cause?#{words}")['causes'].first }
      high = cause.call('high=A1:B/6&working=A1,A1:B/7,A1:B/8')
      expect(high['explains']).to eq(['Coolant temperature high'])
      expect(high['items'].map { |item| item['key'] }).to include('B4').and not_include('Y51')
      expect(cause.call('dead=Y51@running')['explains']).to eq(['Injector 1 (Running)'])
    end

    it 'says what was wrong with a pin, a wire, an item, a state and a code that are not there' do
      { 'pin?pin=A1:Z/9&state=running' => 'no pin A1:Z/9', 'pin?pin=A1:A/1&state=flying' => 'no key state flying',
        'wire?number=999' => 'no wire 999', 'opening?item=F99' => 'nothing called F99', 'common-cause?dead=P9999' => 'called P9999',
        'common-cause?dead=' => 'at least one', 'common-cause?runs=Y1@flying' => 'no key state flying',
        'common-cause' => 'at least one' }.each do |question, words|
        read("/api/circuits/#{sheet}/#{question}")
        expect([status, error['message']]).to match([422, include(words)])
      end
      read("/api/circuits/#{SecureRandom.uuid}")
      expect(status).to eq(404)
    end

    it 'says that a sheet is being drawn, then where everything on it lies, in the words that this unit has' do
      Server::Models::SheetDrawing.dataset.delete
      on_unit = fitted(unit, 'fuel_pump')
      version = on_unit.version
      read("/api/circuits/#{on_unit.id}/drawing.svg")
      expect([status, read("/api/circuits/#{on_unit.id}/drawing").keys, status]).to eq([404, ['before'], 202])
      Server::Workers::DrawSheets.all(Drawn::LAYOUTER)
      core = version.to_core
      fuse = core.parts.find { |part| part.kind == 'fuse' }
      wire = core.wires.find(&:colour)
      sign_in_as('electrician')
      say_otherwise(on_unit, fuse, 'rating_ampere', '7.5')
      say_otherwise(on_unit, wire, 'colour', 'pink')
      picture = read("/api/circuits/#{on_unit.id}/drawing")['pictures'].first
      expect(picture['parts'].find { |part| part['part'] == fuse.id }['label']['lines'].first).to eq("#{fuse.id} 7.5 A")
      drawn = picture['wires'].find { |one| one['wire'] == wire.uuid }
      expect([drawn['colour'], drawn['label']['lines'].join(' ')]).to eq(['pink', "#{wire.number} pink"])
      plain = read("/api/circuits/#{version.id}/drawing")['pictures'].first['wires'].find { |one| one['wire'] == wire.uuid }
      expect(plain['colour']).to eq(wire.colour)
      svg = read("/api/circuits/#{on_unit.id}/drawing.svg")
      expect([status, last_response.content_type, svg]).to match([200, 'image/svg+xml;charset=utf-8', include("#{fuse.id} 7.5 A")])
    end

    it 'says why there is no drawing' do
      Server::Models::SheetDrawing.dataset.delete
      allow(Drawn::LAYOUTER).to receive(:draw).and_raise(Server::Layouter::NoDrawingError, 'the drawing was not ready after 60 s')
      read("/api/circuits/#{sheet}/drawing")
      Server::Workers::DrawSheets.all(Drawn::LAYOUTER)
      expect(read("/api/circuits/#{sheet}/drawing").values_at('pictures', 'problem')).to eq([[], 'the drawing was not ready after 60 s'])
    end

    it 'gives the sheet and its wire list to take away, and takes none from a reader' do
      expect(read("/api/circuits/#{sheet}/sheet.yml")).to include('sheet: ecu_power')
      expect(read("/api/circuits/#{sheet}/wires.csv").lines.first.chomp.split(',')).to eq(Wattomneum::Circuits::Notation::WireList::HEADERS)
      write(:post, '/api/circuits', { content: 'sheet: x' })
      expect(status).to eq(403)
    end
  end

  describe 'for an electrician' do
    before { sign_in_as('electrician') }

    let(:text) { Wattomneum::Circuits::Library::TEXTS.fetch('fuel_pump') }

    it 'takes a changed sheet as a new version that keeps the UUIDs, and the same sheet as the one there is' do
      before = newest('fuel_pump')
      write(:post, '/api/circuits', { content: text })
      expect(newest('fuel_pump').id).to eq(before.id)
      line = write(:post, '/api/circuits', { content: text.sub('length_m: 6.5', 'length_m: 7.5') })
      expect([status, line['n']]).to eq([201, before.n + 1])
      expect(newest('fuel_pump').to_core.wire('10').uuid).to eq(before.to_core.wire('10').uuid)
    end

    it 'takes wires as a table with semicolons, and refuses an unreadable sheet with every objection and nothing changed' do
      csv = Wattomneum::Circuits::Notation::WireList.write(newest('fuel_pump').to_core.wires).tr(',', ';').sub('6.5', '8,5')
      expect(write(:post, '/api/circuits', { content: text, wires_csv: csv })['n']).to eq(newest('fuel_pump').n)
      count = Server::Models::SheetVersion.count
      write(:post, '/api/circuits', { content: text.sub('to: K11:86', 'to: K11:99').sub('rating_ampere: 15', 'rating_ampere: many') })
      expect([status, error['problems'].map { |one| one['line'] }.size, Server::Models::SheetVersion.count]).to eq([422, 2, count])
      expect(error['message']).to include('Nothing was changed')
    end

    it 'fits a sheet to a unit of its voltage, replaces it by a newer version and keeps the overrides' do
      unit = truck('fuel_pump')
      write(:post, "/api/units/#{unit.id}/circuits", { version_id: newest('start_12v').id })
      expect([status, error['message']]).to match([422, include('drawn for 12 V')])
      wire = newest('fuel_pump').to_core.wire('10')
      say_otherwise(fitted(unit, 'fuel_pump'), wire, 'length_m', '12')
      table = read("/api/circuits/#{fitted(unit, 'fuel_pump').id}")
      expect(table['wires'].find { |one| one['number'] == '10' }['length_m']).to eq(12.0)
      version = Server::Models::Sheet.bring_in(text.sub('rating_ampere: 15', 'rating_ampere: 20'))
      write(:post, "/api/units/#{unit.id}/circuits", { version_id: version.id })
      expect(fitted(unit, 'fuel_pump').overrides.to_h.dig(wire.uuid, 'length_m')).to eq(12.0)
    end

    it 'says of a sheet kept under older rules what is wrong and what to do, and goes on with the others' do
      unit = truck('fuel_pump', 'heater')
      old = fitted(unit, 'fuel_pump')
      kept = old.version.values.slice(:sheet_id, :title, :system_volt)
      version = Server::Models::SheetVersion.create(**kept, n: 900, digest: 'old', content: old.version.content.sub('kind: load', 'kind: kettle'))
      Server::Models::UnitSheet.where(id: old.id).update(version_id: version.id)
      read("/api/circuits/#{old.id}")
      expect([status, error['message']]).to match([422, include('was kept under older rules', 'no kind of component', 'Bring in a mended sheet')])
      read("/api/units/#{unit.id}/circuits")
      expect(status).to eq(200)
      read("/api/units/#{unit.id}")
      expect(status).to eq(200)
    end

    it 'shows all sheets of a unit as one, by the unit\'s own id, and answers across them' do
      unit = truck('start_24v', 'fuel_pump', 'heater')
      table = read("/api/circuits/#{unit.id}")
      expect(table).to include('title' => 'The whole unit', 'joined' => include('Auxiliary heater, long frame run'),
                               'unit' => include('id' => unit.id))
      expect(table['parts'].count { |part| part['kind'] == 'battery' }).to eq(2)
      pin = read("/api/circuits/#{unit.id}/pin?pin=U3:A/1&state=off")
      expect(pin['to_supply']['steps'].map { |step| step['item'] }).to include('F8')
      live = read("/api/circuits/#{unit.id}/live?state=off")['terminals'].map { |one| one['pin'] }
      expect(live).to include('U3:A/1', 'S1:1').and not_include('K2:30')
      opened = read("/api/circuits/#{unit.id}/opening?item=G2")['effects'].map { |one| one['key'] }
      expect(opened).to include('M1', 'M2')
      write(:post, "/api/circuits/#{unit.id}/own-facts", { item: SecureRandom.uuid, field: 'colour', was: nil, says: 'red', why: 'x' })
      expect(status).to eq(404)
    end

    it 'has the usual start and charge circuit for a unit without sheets, from its facts' do
      table = read("/api/circuits/#{a_unit.id}")
      expect([status, table['joined']]).to eq([200, ['Start circuit, the usual one', 'Charge circuit, the usual one']])
      state = table['states'].index { |one| one['key'] == 'cranking' }
      amperes = table['wires'].find { |wire| wire['number'] == '6' }['amperes'][state]
      expect(amperes).to be_within(40).of(600)
      bare = read("/api/circuits/#{a_unit(alternator_rating_ampere: nil, has_isolator: false).id}")
      expect([bare['joined'], bare['parts'].count { |part| part['kind'] == 'isolator' }]).to eq([['Start circuit, the usual one'], 0])
    end

    it 'works out the common causes of a whole unit bit by bit, and says how far it is' do
      unit = truck('start_24v', 'fuel_pump', 'grounds_truck', 'heater')
      ask = -> { read("/api/circuits/#{unit.id}/common-cause?dead=M2,B12&working=K11,U3") }
      read("/api/circuits/#{unit.id}")
      allow(Server::Queries::Machines).to receive(:most_steps).and_return(150_000)
      first = ask.call
      expect([status, first['progress']]).to match([202, include('done' => be_positive, 'total' => be > 200)])
      answers = Array.new(40) { ask.call }.find { |one| one.key?('causes') }
      expect(answers['causes'].flat_map { |one| one['items'].map { |item| item['key'] } }).to include('G9')
    end

    it 'lists what two sheets draw otherwise, and a ruling makes it one' do
      unit = truck('start_24v', 'fuel_pump')
      say_otherwise(fitted(unit, 'fuel_pump'), newest('fuel_pump').to_core.part('S1'), 'ohm', '0.02')
      told = -> { read("/api/units/#{unit.id}/circuits")['conflicts'].select { |one| one['kind'] == 'drawn otherwise' } }
      expect(told.call.map { |one| one['words'] }).to eq(['S1 is 0.2 mohm on one sheet and 20 mohm on another'])
      ruling = { id: SecureRandom.uuid, conflict_key: told.call.first['key'], choice: 'It is 0.2 mohm', note: 'Measured' }
      write(:post, "/api/units/#{unit.id}/rulings", ruling)
      expect(told.call).to eq([])
    end

    it 'answers for a pin by whatever name it goes, and finds it by them' do
      unit = truck('fuel_pump')
      id = fitted(unit, 'fuel_pump').id
      pins = %w[K11:86 K11:87 K11:5].map { |pin| read("/api/circuits/#{id}/pin?#{URI.encode_www_form(pin: pin, state: 'running')}")['pin'] }
      expect(pins).to eq(%w[K11:86 K11:87 K11:87])
      read("/api/circuits/#{id}/pin?pin=K11:99&state=running")
      expect([status, error['message']]).to match([422, include('has no pin K11:99')])
    end

    it 'lists conflicts across a unit\'s sheets, keeps a ruling as local truth, and tells who ruled' do
      unit = truck('ecu_power', 'fuel_pump')
      conflicts = read("/api/units/#{unit.id}/circuits")['conflicts']
      expect(conflicts.map { |one| one['words'] }).to include('K10:87 is used by wires 13 and 40', 'S2 has two names: Key switch and Ignition switch')
      twice = conflicts.find { |one| one['kind'] == 'pin used twice' }
      ruled = write(:post, "/api/units/#{unit.id}/rulings",
                    { id: SecureRandom.uuid, conflict_key: twice['key'], choice: twice['options'].first, note: 'Seen' })
      expect(ruled['conflicts'].find do |one|
        one['key'] == twice['key']
      end['ruling']).to include('choice' => twice['options'].first, 'person' => 'Spec electrician')
      write(:post, "/api/units/#{unit.id}/rulings", { id: SecureRandom.uuid, conflict_key: twice['key'], choice: 'nothing' })
      expect([status, error['fields'].keys]).to eq([422, ['choice']])
    end

    it 'moves a loose wire end where the ruling says, on this unit alone' do
      loose = Server::Models::Sheet.bring_in(text.sub('sheet: fuel_pump', 'sheet: loose_pump').sub('from: F12:2, to: S2:30', 'from: F12:2, to: X8:1')
                                                 .sub('id: X8, kind: connector, label: Tank plug', 'id: X8, kind: connector, label: "Tank plug"'))
      unit = truck
      Server::Models::UnitSheet.fit(unit, loose, at: Time.now.utc - 5)
      conflict = read("/api/units/#{unit.id}/circuits")['conflicts'].find { |one| one['kind'] == 'pin without connector' }
      answer = write(:post, "/api/units/#{unit.id}/rulings", { id: SecureRandom.uuid, conflict_key: conflict['key'], choice: 'It is X8:b/1' })
      expect(answer['conflicts'].map { |one| one['kind'] }).not_to include('pin without connector')
      own = read("/api/circuits/#{fitted(unit, 'loose_pump').id}/own-facts")['own'].first['fact']
      expect([own['sheet_says'], own['says'], own['own']['why']]).to match(['X8:1', 'X8:b/1', %r{X8:1.*: It is X8:b/1}])
      expect(answer['local_truth'].map { |one| one['choice'] }).to include('It is X8:b/1')
      wire = read("/api/circuits/#{Server::Models::UnitSheet.current.first(unit_id: unit.id).id}")['wires'].find { |one| one['number'] == '6' }
      expect(wire['to']).to eq('X8:b/1')
    end

    it 'finds pins and wires of fitted sheets by what is typed, and knows which pin each named place of the unit is' do
      own = Wattomneum::Circuits::Library::TEXTS.fetch('start_24v').gsub('K2', 'K77').gsub('number: bolts', 'number: facebolts').sub(
        'sheet: start_24v', 'sheet: start_own'
      )
      unit = truck
      fitted = Server::Models::UnitSheet.fit(unit, Server::Models::Sheet.bring_in(own), at: Time.now.utc - 5)
      found = read('/api/find?q=K77:30')['found'].select { |one| one['kind'] == 'circuit' }
      expect(found.map { |one| one['id'] }).to eq(["#{fitted.id}?pin=K77%3A30"])
      ids = ->(words) { read("/api/find?q=#{URI.encode_www_form_component(words)}")['found'].map { |one| one['id'] } }
      expect(ids.call('K77').first).to eq("#{fitted.id}?part=K77")
      expect(ids.call('BAT_A:+')).to be_any.and all(end_with('?pin=BAT_A%3A%2B'))
      expect(read('/api/find?q=wire%20facebolts')['found'].map { |one| [one['label'], one['detail']] })
        .to eq([['Wire facebolts', "M1:case to BLOCK:metal, on #{unit.number}"]])
      expect(read("/api/units/#{unit.id}")['circuits'].map { |one| one['key'] }).to eq(['start_own'])
    end

    it 'is not put together again for every point, once its sheets were refused' do
      circuits = Server::Queries::UnitCircuits.new(truck.id)
      allow(Server::Queries::Machines).to receive(:whole).and_raise(Wattomneum::SheetsDisagreeError, 'two sheets claim a post')
      expect(Array.new(3) { circuits.node_of(SecureRandom.uuid, '1') }).to eq([nil, nil, nil])
      expect { circuits.whole }.to raise_error(Wattomneum::SheetsDisagreeError, /claim a post/)
      expect(circuits.drawn.sheet.loops.map(&:key)).to eq(%w[start charge])
      expect(Server::Queries::Machines).to have_received(:whole).once
    end

    it 'draws the loop of a unit from its sheet: a place that the sheet does not have is not on it' do
      text = Wattomneum::Circuits::Library::TEXTS.fetch('start_24v')
      version = Server::Models::Sheet.bring_in(text.sub(' frame: "FRAME:metal",', ''))
      unit = truck
      before = read("/api/units/#{unit.id}")['loops'].first['return'].map { |place| place['place'] }
      Server::Models::UnitSheet.fit(unit, version, at: Time.now.utc - 5)
      after = read("/api/units/#{unit.id}")['loops'].first['return'].map { |place| place['place'] }
      expect(before - after).to eq(['frame'])
    end

    it 'freezes the versions that a job works with' do
      unit = truck('start_24v')
      job = open_job(unit)
      held = Server::DB[:job_sheet].where(job_id: job['id']).select_map(:version_id)
      expect(Server::Models::SheetVersion.where(id: held).select_map(:frozen_at)).to all(be_a(Time))
      expect { Server::Models::SheetVersion.where(id: held).update(content: 'other') }.to raise_error(Sequel::DatabaseError, /keeps its content/)
    end
  end

  it 'says who listens to a signal, and that one which feeds brakes is never cut' do
    sign_in_as('reader')
    version = Server::Models::Sheet.bring_in(Wattomneum::Circuits::Library::TEXTS.fetch('speed_signal'))
    answer = read("/api/circuits/#{version.id}/signal?pin=B20:1")
    expect(answer).to include('advice' => 'tap', 'sources' => ['B20 Speed sensor at the gearbox'])
    expect(answer['listeners'].map { |one| one.values_at('pin', 'guards') }).to eq([['U20:3', nil], ['U21:A/7', nil], ['U22:B/5', 'brakes']])
    read("/api/circuits/#{version.id}/signal?pin=B99:1")
    expect(status).to eq(422)
  end
end
