# frozen_string_literal: true

RSpec.describe Server::Routes::Drafts do
  include Drawn

  before do
    Server::Models::Sheet.bring_in_shipped
    sign_in_as('electrician')
  end

  def newest(key) = Server::Models::SheetVersion.newest_of(key)
  def begin_from(key, **rest) = write(:post, '/api/drafts', { id: SecureRandom.uuid, version_id: newest(key).id, **rest })
  def row(draft, name) = draft['rows'].find { |one| one['typed'].values_at('id', 'number').include?(name) }

  def type(draft, *rows)
    write(:put, "/api/drafts/#{draft['id']}/rows", { rows: rows.map do |one, typed|
      { **one.slice('item_uuid', 'kind', 'row_version'), typed: typed }
    end })
  end

  def new_row(kind) = { 'item_uuid' => SecureRandom.uuid, 'kind' => kind, 'row_version' => 0 }

  it 'is begun from a version, says what it changes while it is typed, and is published as the next one: what is in use stays' do
    unit = a_unit(system_volt: 24, arrangement: 'series')
    fitted = Server::Models::UnitSheet.fit(unit, newest('fuel_pump'), at: Time.now.utc - 60)
    before = newest('fuel_pump')
    draft = begin_from('fuel_pump')
    expect([draft['changes'], draft['wrong'], draft['base']['n']]).to eq([[], [], before.n])
    wire = row(draft, '7')
    draft = type(draft, [wire, wire['typed'].merge('size' => '4')])
    expect(draft['changes'].map { |one| [one['item'], one['what'], one['words'].first] }).to match([['wire 7', 'changed', /\Asize 4 mm2, was/]])
    draft = write(:post, "/api/drafts/#{draft['id']}/publication", {})
    expect([draft['ended'], newest('fuel_pump').n, draft['version_id']]).to eq([true, before.n + 1, newest('fuel_pump').id])
    expect(fitted.refresh.version_id).to eq(before.id)
    expect(read("/api/circuits/#{before.id}/difference?to=#{newest('fuel_pump').id}")['changes'].map { |one| one['item'] }).to eq(['wire 7'])
    type(draft, [row(draft, '7'), wire['typed']])
    expect(error['message']).to include('was published')
  end

  it 'moves units to a version, all of them or none, with what they have otherwise' do
    units = Array.new(2) { a_unit(system_volt: 24, arrangement: 'series') }
    fitted = units.map { |unit| Server::Models::UnitSheet.fit(unit, newest('fuel_pump'), at: Time.now.utc - 60) }
    before = newest('fuel_pump')
    wire = before.to_core.wire('7')
    say_otherwise(fitted.first, wire, 'colour', 'pink')
    draft = begin_from('fuel_pump')
    type(draft, [row(draft, '7'), row(draft, '7')['typed'].merge('length_m' => '9')])
    version = write(:post, "/api/drafts/#{draft['id']}/publication", {})['version_id']
    other = a_unit(system_volt: 24, arrangement: 'series')
    write(:post, "/api/circuits/#{version}/units", { units: [units.first.id, other.id] })
    expect([status, error['message']]).to match([404, /has not got this sheet/])
    moved = write(:post, "/api/circuits/#{version}/units", { units: units.map(&:id) })
    expect(moved['behind'].map { |one| one['number'] } & units.map(&:number)).to be_empty
    expect(moved['versions'].first.values_at('version_id', 'units')).to eq([version, 2])
    expect(moved['behind_count']).to eq(moved['versions'].drop(1).sum { |one| one['units'] })
    now = Server::Models::UnitSheet.current.first(unit_id: units.first.id)
    expect([now.version_id, now.overrides.to_h.dig(wire.uuid, 'colour')]).to eq([version, 'pink'])
    expect(read("/api/circuits/#{before.id}/versions")['key']).to eq('fuel_pump')
  end

  it 'keeps a bad row as it was typed, says what is wrong at it, draws what is sound, and is not published' do
    Server::Models::SheetDrawing.dataset.delete
    draft = begin_from('fuel_pump')
    relay = row(draft, 'K11')
    draft = type(draft, [relay, relay['typed'].merge('facts' => 'coil_ohm: many')],
                 [new_row('wire'), { 'number' => 'X', 'from' => 'K11:99', 'to' => 'nowhere' }])
    expect(row(draft, 'K11')['wrong'].map { |one| one['message'] }).to include('relay K11 coil_ohm is a number, got "many"')
    expect([row(draft, 'X')['wrong'].size, row(draft, 'X')['typed']['to']]).to eq([1, 'nowhere'])
    expect([read("/api/drafts/#{draft['id']}/drawing").keys, status]).to eq([['before'], 202])
    Server::Workers::DrawSheets.all(Drawn::LAYOUTER)
    parts = read("/api/drafts/#{draft['id']}/drawing")['pictures'].first['parts'].filter_map { |part| part['part'] }
    expect(parts).to include('M2').and(not_include('K11'))
    write(:post, "/api/drafts/#{draft['id']}/publication", {})
    expect([status, error['message']]).to match([422, /Something is wrong in this sheet yet/])
  end

  it 'shows both where two people changed one row, lets them write in different ones, and undoes only what is one\'s own' do
    draft = begin_from('fuel_pump')
    wires = %w[7 8].map { |number| row(draft, number) }
    type(draft, [wires.first, wires.first['typed'].merge('colour' => 'pink')])
    sign_in_as('lead')
    type(draft, [wires.last, wires.last['typed'].merge('colour' => 'grey')])
    expect(status).to eq(200)
    type(draft, [wires.first, wires.first['typed'].merge('colour' => 'blue')])
    theirs = error['theirs']['rows'].first
    expect([status, error['code'], theirs['typed']['colour'], theirs['row_version']]).to eq([409, 'edit_conflict', 'pink', 2])
    draft = write(:post, "/api/drafts/#{draft['id']}/undo", {})
    expect([row(draft, '8')['typed']['colour'], row(draft, '7')['typed']['colour']]).to eq([wires.last['typed']['colour'], 'pink'])
    write(:post, "/api/drafts/#{draft['id']}/undo", {})
    expect([status, error['message']]).to match([422, /nothing of yours left/])
    type(draft, [row(draft, '8'), row(draft, '8')['typed'].merge('colour' => 'tan')])
    Server::Models::SheetDraftRow.where(draft_id: draft['id'], item_uuid: wires.last['item_uuid']).update(row_version: 9)
    write(:post, "/api/drafts/#{draft['id']}/undo", {})
    expect([status, error['message']]).to match([409, /changed the same row since/])
  end

  it 'undoes step by step what was typed, taken out and added' do
    draft = begin_from('fuel_pump')
    added = new_row('component')
    type(draft, [row(draft, '7'), nil])
    draft = type(draft, [added, { 'id' => 'H9', 'kind' => 'load', 'facts' => 'watt: 5' }])
    expect([row(draft, '7'), row(draft, 'H9')['row_version'], draft['undoable']]).to eq([nil, 1, true])
    draft = write(:post, "/api/drafts/#{draft['id']}/undo", {})
    expect(row(draft, 'H9')).to be_nil
    draft = write(:post, "/api/drafts/#{draft['id']}/undo", {})
    expect([row(draft, '7').nil?, draft['undoable'], draft['changes']]).to eq([false, false, []])
  end

  it 'copies a block, and copies a whole sheet for another make under another key' do
    draft = begin_from('fuel_pump')
    block = %w[F15 K11].filter_map { |id| row(draft, id) }
    draft = write(:post, "/api/drafts/#{draft['id']}/copies", { components: block.map { |one| one['item_uuid'] } })
    expect(draft['rows'].filter_map { |one| one['typed']['id'] }).to include(*block.map do |one|
      one['typed']['id'].sub(/\d+/) do |figure|
        (figure.to_i + 1).to_s
      end
    end)
    other = begin_from('fuel_pump', key: 'fuel_pump_harrow', title: 'Fuel pump of the Harrow')
    expect([other['base'], other['head'].values_at('sheet', 'title')]).to eq([nil, ['fuel_pump_harrow', 'Fuel pump of the Harrow']])
    expect(other['rows'].map { |one| one['item_uuid'] } & draft['rows'].map { |one| one['item_uuid'] }).to be_empty
    write(:post, "/api/drafts/#{other['id']}/publication", {})
    expect(newest('fuel_pump_harrow').n).to eq(1)
    again = begin_from('fuel_pump', key: 'fuel_pump_harrow', title: 'Once more')
    write(:post, "/api/drafts/#{again['id']}/publication", {})
    expect([status, error['fields'].keys]).to eq([422, ['key']])
  end

  it 'is written from nothing, row by row' do
    draft = write(:post, '/api/drafts', { id: SecureRandom.uuid, key: 'work_lamp', title: 'Work lamp', system_volt: 24 })
    parts = [['BAT', 'battery', 'volt: 25'], ['F1', 'fuse', 'rating_ampere: 10'], ['H1', 'load', 'watt: 55']]
    wires = [%w[1 BAT:+ F1:1], %w[2 F1:2 H1:1], %w[3 H1:2 BAT:-]]
    rows = parts.map { |texts| ['component', %w[id kind facts].zip(texts).to_h] } + wires.map { |texts| ['wire', %w[number from to].zip(texts).to_h] }
    draft = type(draft, *rows.map { |kind, typed| [new_row(kind), typed] })
    expect([draft['wrong'], draft['rows'].flat_map { |one| one['wrong'] }, draft['changes']]).to eq([[], [], nil])
    draft = write(:put, "/api/drafts/#{draft['id']}/head",
                  { head_version: 1, note: 'Switched at the lamp', more: 'zones: { roof: { label: Roof, exposure: [wet] } }' })
    expect([draft['head']['note'],
            YAML.safe_load(draft['more'])]).to eq(['Switched at the lamp', { 'zones' => { 'roof' => { 'label' => 'Roof', 'exposure' => ['wet'] } } }])
    write(:put, "/api/drafts/#{draft['id']}/head", { head_version: 2, more: "zones: [\nplants: 3" })
    expect([status, error['fields'].keys]).to eq([422, ['more']])
    write(:put, "/api/drafts/#{draft['id']}/head", { head_version: 1, title: 'Late' })
    expect([status, error['theirs']['head_version']]).to eq([409, 2])
    version = write(:post, "/api/drafts/#{draft['id']}/publication", {})['version_id']
    expect(read("/api/circuits/#{version}")['title']).to eq('Work lamp')
  end

  it 'is not published over a version that came in between before that was looked at, nor where it changes nothing' do
    first, second = Array.new(2) { begin_from('fuel_pump') }
    write(:post, "/api/drafts/#{first['id']}/publication", {})
    expect([status, error['message']]).to eq([422, 'This draft says what its version says already'])
    [first, second].each_with_index { |draft, index| type(draft, [row(draft, '7'), row(draft, '7')['typed'].merge('length_m' => (3 + index).to_s)]) }
    newer = write(:post, "/api/drafts/#{first['id']}/publication", {})['version_id']
    write(:post, "/api/drafts/#{second['id']}/publication", {})
    expect([status, error['theirs']['version_id']]).to eq([409, newer])
    write(:post, "/api/drafts/#{second['id']}/publication", { onto: newer })
    expect([status, newest('fuel_pump').to_core.wire('7').length_m]).to eq([200, 4.0])
  end

  it 'says of what an older version says already which one that is' do
    first = newest('fuel_pump')
    draft = begin_from('fuel_pump')
    type(draft, [row(draft, '7'), row(draft, '7')['typed'].merge('length_m' => '3')])
    write(:post, "/api/drafts/#{draft['id']}/publication", {})
    # As it was before, word for word as the writer of sheets writes it: typed back in the second draft, in the third begun from the first.
    back = begin_from('fuel_pump')
    type(back, [row(back, '7'), row(draft, '7')['typed']])
    again = write(:post, "/api/drafts/#{back['id']}/publication", {})['version_id']
    third = begin_from('fuel_pump')
    type(third, [row(third, '7'), row(third, '7')['typed'].merge('length_m' => '3')])
    write(:post, "/api/drafts/#{third['id']}/publication", {})
    expect([again == first.id, status, error['message']]).to match([false, 422, /\AVersion \d+ says this already: move the units to that one/])
    expect(Server::Models::SheetDraft[third['id']].ended_at).to be_nil
  end

  it 'keeps a head that somebody else saved meanwhile, and lists the first of the units that are behind with how many there are' do
    units = Array.new(3) { a_unit }
    units.each { |unit| Server::Models::UnitSheet.fit(unit, newest('glow'), at: Time.now.utc - 60) }
    units.last.update(retired_at: Time.now.utc)
    before = read("/api/circuits/#{newest('glow').id}/versions")
    draft = begin_from('glow')
    write(:put, "/api/drafts/#{draft['id']}/head", { head_version: 1, title: 'Glow plugs, all engines' })
    write(:put, "/api/drafts/#{draft['id']}/head", { head_version: 1, note: 'late' })
    expect([status, error['theirs']['head']['title']]).to eq([409, 'Glow plugs, all engines'])
    version = write(:post, "/api/drafts/#{draft['id']}/publication", {})['version_id']
    found = read("/api/circuits/#{version}/versions")
    expect(found['versions'].first.values_at('title', 'units')).to eq(['Glow plugs, all engines', 0])
    expect([before['behind_count'] + before['versions'].first['units'],
            found['behind'].size]).to eq([found['behind_count'], [found['behind_count'], 200].min])
    behind = found['behind'].map { |one| one['number'] }
    expect([behind & units.map(&:number), behind]).to match([match_array(units.first(2).map(&:number)), eq(behind.sort)])
  end

  it 'lists what is being written, drops it, and refuses columns, kinds and drafts that there are not, and a reader' do
    draft = begin_from('fuel_pump')
    expect(read('/api/drafts')['drafts'].find { |one| one['id'] == draft['id'] }).to include('key' => 'fuel_pump', 'n' => newest('fuel_pump').n)
    type(draft, [row(draft, '7'), { 'number' => '7', 'weight' => '3' }])
    expect(error['fields'].keys).to eq(['rows'])
    write(:post, "/api/drafts/#{draft['id']}/end", {})
    expect(read('/api/drafts')['drafts'].map { |one| one['id'] }).not_to include(draft['id'])
    write(:post, "/api/drafts/#{draft['id']}/undo", {})
    expect(error['message']).to eq('This draft was dropped')
    write(:post, '/api/drafts', { id: SecureRandom.uuid })
    expect(error['fields'].keys).to contain_exactly('key', 'title', 'system_volt')
    read("/api/drafts/#{SecureRandom.uuid}")
    expect(status).to eq(404)
    sign_in_as('reader')
    begin_from('fuel_pump')
    expect(status).to eq(403)
  end

  describe 'a wire list of another hand' do
    let(:csv) { "Wire;From;Pin;To;Pin;Colour;Length (mm)\n7;S2;15;K11;86;BK/GN;900\n90;K11;87;X90;3;rd;1200\n91;K11;30;STUD;;;\n" }
    let(:draft) { begin_from('fuel_pump') }

    def columns_of(text) = write(:post, "/api/drafts/#{draft['id']}/list-columns", { csv: text })

    def take(columns: columns_of(csv)['guess'], **rest)
      write(:post, "/api/drafts/#{draft['id']}/lists", { csv: csv, columns: columns, length_unit: 'mm', components: true, **rest })
    end

    it 'is looked at first, then taken: rows that are there change, others are new, and what nobody drew waits for its kind' do
      read = columns_of(csv)
      expect(read.values_at('rows', 'length_unit', 'guess'))
        .to eq([3, 'mm', { 'number' => 0, 'from' => 1, 'from_pin' => 2, 'to' => 3, 'to_pin' => 4, 'colour' => 5, 'length' => 6 }])
      expect(read['headings'][5]).to eq('words' => 'Colour', 'examples' => %w[BK/GN rd])
      taken = take
      expect(row(taken, '7')['typed'].values_at('colour', 'length_m', 'size')).to eq(['black/green', '0.9', '1 mm2'])
      expect(row(taken, '90')['typed']).to include('from' => 'K11:87', 'to' => 'X90:3', 'colour' => 'red', 'length_m' => '1.2')
      fresh = taken['rows'].select { |one| %w[X90 STUD].include?(one['typed']['id']) }
      expect(fresh.map { |one| one['wrong'].map { |wrong| wrong['message'] } }).to eq([['X90 has no kind'], ['STUD has no kind']])
      expect(taken['rows'].count { |one| one['wrong'].any? }).to eq(2)
      undone = write(:post, "/api/drafts/#{draft['id']}/undo")
      expect(undone['rows'].map { |one| one['typed'] }).to eq(draft['rows'].map { |one| one['typed'] })
    end

    it 'is refused where a column is not said, where nothing is new, and as what is no list' do
      take(columns: { number: 0, from: 1 })
      expect([status, error['message'], error['fields'].keys]).to match([422, /where a wire goes to/, ['to']])
      take(columns: { number: 0, from: 1, to: 40 })
      expect(status).to eq(422)
      take(length_unit: 'furlong')
      expect([status, error['fields'].keys]).to eq([422, ['length_unit']])
      take
      take
      expect([status, error['message']]).to match([422, /stands here already/])
      columns_of('one line')
      expect([status, error['fields'].keys]).to eq([422, ['csv']])
    end

    describe 'that is long' do
      def long(count, from: 0) = "Wire;From;To\n#{Array.new(count) { |at| "m#{from + at};K11:#{at + 100};X8:a/1" }.join("\n")}\n"

      def take_long(text)
        write(:post, "/api/drafts/#{draft['id']}/lists", { csv: text, columns: { number: 0, from: 1, to: 2 }, length_unit: 'm', components: false })
      end

      def shown(**view) = read("/api/drafts/#{draft['id']}?#{URI.encode_www_form(view)}")
      def act(what) = write(:post, "/api/drafts/#{draft['id']}/#{what}")
      def going_on = Server::Models::DraftWork.going_on.first(draft_id: draft['id'])
      def wires = Server::Models::SheetDraftRow.where(draft_id: draft['id'], kind: 'wire', gone: false).count

      it 'is taken behind the scenes, lot by lot, and undone in the same way; what is shown comes in pages' do
        before = draft['pages']['wire']['rows']
        taken = take_long(long(1_000))
        expect([status, taken['work'].values_at('kind', 'done', 'total', 'going_on')]).to eq([200, ['list', 0, 1_000, true]])
        expect(take_long(long(300, from: 5_000)).dig('error', 'message')).to include('being taken or undone here already')
        expect([act('undo')['error']['message'], status]).to match([/nothing of yours|being taken/, 422])
        Server::Workers::WorkOnDraft.run(going_on.id)
        done = shown
        expect(done['work']['going_on']).to be(false)
        expect(done['pages']['wire']).to eq('page' => 0, 'of' => ((1_000 + before) / 200.0).ceil, 'rows' => 1_000 + before)
        expect(done['rows'].count { |one| one['kind'] == 'wire' }).to eq(200)
        last = shown(wire_page: 99)
        expect([last['pages']['wire']['page'], last['rows'].last['typed']['number']]).to eq([5, 'm999'])
        wrong = shown(only_wrong: 'yes')
        expect([wrong['pages']['wrong_rows'], wrong['pages']['wire']['rows']]).to eq([1_000, 1_000])
        expect(wrong['rows'].map { |one| one['wrong'].any? }.uniq).to eq([true])
        undoing = act('undo')
        expect(undoing['work'].values_at('kind', 'total')).to eq(['undo', 1_000])
        Server::Workers::WorkOnDraft.run(going_on.id)
        expect([wires, shown['undoable'], shown['rows'].map { |one| one['typed'] }]).to eq([before, false, draft['rows'].map { |one| one['typed'] }])
      end

      it 'is cancelled between two lots: what was done stands and can be undone, and nobody waits for it meanwhile' do
        before = wires
        take_long(long(450))
        one = going_on
        one.lot
        typed = type(draft, [new_row('component'), { 'id' => 'F99', 'kind' => 'fuse', 'facts' => 'rating_ampere: 10' }])
        expect([status, wires - before, typed['work']['done']]).to eq([200, 100, 100])
        act('cancellation')
        one.finish
        expect([wires - before, shown['work'].values_at('done', 'going_on', 'cancelled')]).to eq([100, [100, false, true]])
        act('undo') # of the fuse, which was typed last
        act('undo')
        expect([status, wires]).to eq([200, before])
        expect(act('cancellation')['work']['going_on']).to be(false)
      end

      it 'leaves a row that somebody typed in meanwhile as they have it, and says how many; a worker that died goes on where it was' do
        own = draft['rows'].find { |one| one['typed']['number'] == '7' }
        take_long("#{long(250)}7;S2:15;K11:30\n")
        type(draft, [own, own['typed'].merge('colour' => 'pink')])
        one = going_on
        one.lot
        Server::Workers::WorkOnDraft.run(one.id)
        Server::Workers::WorkOnDraft.run(one.id)
        expect(shown['work'].values_at('done', 'total', 'left', 'going_on')).to eq([251, 251, 1, false])
        expect(Server::Models::SheetDraftRow.first(draft_id: draft['id'], item_uuid: own['item_uuid']).typed['colour']).to eq('pink')
      end

      it 'is refused where it is more than a sheet may have' do
        take_long(long(4_001))
        expect([status, error['message']]).to match([422, /at most 4000 rows/])
        expect([wires, going_on]).to eq([draft['pages']['wire']['rows'], nil])
      end
    end
  end
end
