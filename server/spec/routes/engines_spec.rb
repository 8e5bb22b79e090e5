# frozen_string_literal: true

RSpec.describe Server::Routes::Engines do
  before { sign_in_as('electrician') }

  let(:unit) { a_unit(arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: nil, has_isolator: false, has_sense: false) }

  def fitting(key, on: unit)
    version = Server::Models::Sheet.bring_in(Wattomneum::Circuits::Library::TEXTS.fetch(key))
    Server::Models::UnitSheet.fit(on, version, at: Time.now.utc - 60)
  end

  def engine = read("/api/units/#{unit.id}/engine")
  def say(**entry) = write(:post, "/api/units/#{unit.id}/engine-entries", { id: SecureRandom.uuid, **entry })
  def fields = error['fields'].transform_values(&:first)

  describe 'a kill circuit' do
    let!(:fitted) { fitting('magneto_kill') }
    let(:device) { fitted.version.to_core.part('L9').uuid }

    def no_spark = open_job(unit, symptom: { work: 'auxiliary_load', part: 'L9', situation: 'idle', seen: 'dead' })['id']
    def key(number) = kill['branches'].find { |one| one['number'] == number }['key']
    def number(key) = kill['branches'].find { |one| one['key'] == key }&.fetch('number')
    def kill = engine['kill'].first
    def bench(kind, **entry) = say(craft: 'kill', kind: kind, sheet: fitted.id, device: device, **entry)

    def prove(key, outcome = 'stopped')
      write(:post, "/api/circuits/#{fitted.id}/stop-proofs", { id: SecureRandom.uuid, device: device, asked: key, outcome: outcome })
    end

    # Left door branch grounds; the bench does what each step says.
    def answer(step, grounded)
      case step['kind']
      when 'lead_off', 'all_off' then bench(step['kind'], spark: true)
      when 'branch_on' then bench('branch_on', branch: step['branch'], spark: !grounded.include?(number(step['branch'])))
      when 'branch_ohm' then bench('branch_ohm', branch: step['branch'], ohm: '2.5')
      when 'mended' then grounded.delete(number(step['branch'])) && bench('mended', branch: step['branch'], words: 'Sleeve renewed')
      when 'refit' then bench('refit', stage: step['stage'], spark: true)
      else prove(step['asked'])
      end
      expect(status).to eq(201)
    end

    def to_the_end(grounded)
      steps = []
      until (step = kill['next_step'])['kind'] == 'done'
        steps << step['kind']
        answer(step, grounded)
      end
      steps
    end

    it 'leads from no spark to every interlock proved, and keeps a job open until then' do
      job = no_spark
      bench('begun')
      expect(read("/api/jobs/#{job}")['missing_to_close']).to include(/^The kill circuit is not searched to its end: take the one kill lead off/)
      steps = to_the_end(%w[8 12])
      expect(steps.tally).to include('lead_off' => 1, 'all_off' => 1, 'branch_on' => 7, 'branch_ohm' => 2, 'mended' => 2, 'refit' => 3, 'prove' => 5)
      expect(kill).to include('proved' => true)
      expect(kill['interlocks'].map { |one| one['state'] }.uniq).to eq(['proved'])
      expect(read("/api/jobs/#{job}")['missing_to_close'].grep(/kill|stop it/)).to eq([])
    end

    it 'names the interlock that nobody tried, and counts none that was tried before it went together' do
      prove('door_left')
      bench('begun')
      bench('lead_off', spark: true)
      bench('all_off', spark: true)
      kill['branches'].each { |one| bench('branch_on', branch: one['key'], spark: true) }
      expect(kill['next_step']['kind']).to eq('watched')
      bench('watched', words: 'Door switch left sticks')
      %w[stud plugs covers].each { |stage| bench('refit', stage: stage, spark: true) }
      expect(kill['interlocks'].map { |one| one['state'] }).to eq(%w[open] * 5)
      bench('skipped', asked: 'oil_low', words: 'No oil to spare')
      expect(kill['interlocks'].last).to include('state' => 'skipped', 'words' => 'No oil to spare')
      job = no_spark
      expect(read("/api/jobs/#{job}")['missing_to_close']).to include(/^Not seen to stop it: .*Turning, oil low/)
      expect(read("/api/units/#{unit.id}")['notices'].map do |one|
        one.values_at('severity', 'suspects')
      end).to eq([['watch', 'Door switch left sticks']])
    end

    it 'goes on with what was seen when the sheet gets another version with other numbers' do
      bench('lead_off', spark: true)
      bench('all_off', spark: true)
      bench('branch_on', branch: key('8'), spark: false)
      renumbered = Server::Models::Sheet.bring_in(fitted.version.content.gsub(/number: '?8'?$/, "number: '80'"))
      Server::Models::UnitSheet.fit(unit, renumbered, at: Time.now.utc)
      expect(kill['branches'].map { |one| one.values_at('number', 'state') }).to include(%w[80 grounds])
      expect(kill['log'].last['words']).to eq('Door switch left onto the stud: no spark')
    end

    it 'notices once what let go by itself, however often it is told' do
      2.times { bench('watched', words: 'Damp dust') }
      expect(read("/api/units/#{unit.id}")['notices'].size).to eq(1)
    end

    it 'keeps ohms as people type them' do
      bench('branch_ohm', branch: key('8'), ohm: 'OL')
      expect(kill['log'].last['words']).to eq('Door switch left to the block: OL')
      bench('branch_ohm', branch: key('8'), ohm: '3,2 M')
      expect(kill['log'].last['words']).to eq('Door switch left to the block: 3.2 Mohm')
      bench('branch_ohm', branch: key('8'), ohm: 'some')
      expect(status).to eq(422)
    end

    it 'refuses what is no branch, no way to stop, no circuit of this unit, and what does not go together' do
      bench('branch_on', branch: '99', spark: true)
      expect([status, fields]).to eq([422, { 'branch' => 'no such branch on this circuit' }])
      bench('skipped', asked: 'tea', words: 'x')
      expect(fields).to eq('asked' => 'it is not asked to stop that way')
      bench('branch_on', spark: true)
      expect(fields).to eq('branch' => 'is needed here')
      bench('lead_off', spark: true, words: 'x')
      expect(fields).to eq('words' => 'does not go with this')
      bench('run')
      expect(fields).to eq('kind' => 'is none of begun, lead_off, all_off, branch_on, branch_ohm, mended, watched, refit, skipped')
      say(craft: 'kill', kind: 'begun', sheet: SecureRandom.uuid, device: device)
      expect(status).to eq(404)
      say(craft: 'kill', kind: 'begun')
      expect(fields.keys).to match_array(%w[sheet device])
    end

    it 'strikes out what was a slip' do
      bench('lead_off', spark: false)
      expect(kill['next_step']).to include('kind' => 'mended', 'branch' => 'unit')
      write(:post, "/api/engine-entries/#{kill['log'].last['id']}/strike", { reason: 'Tester not grounded' })
      expect([status, kill['next_step']['kind']]).to eq([200, 'lead_off'])
      sign_in_as('driver')
      bench('lead_off', spark: true)
      expect(status).to eq(403)
    end
  end

  describe 'an engine that misses' do
    def plugs = engine['plugs']
    def bench(kind, **entry) = say(craft: 'plugs', kind: kind, **entry)

    it 'is seen through its wet plug: a pump engine on three' do
      bench('run', dead: [3])
      expect([status, fields]).to eq([422, { 'kind' => 'say the firing order first' }])
      bench('begun', order: '1-3-4-2')
      bench('run', dead: [3])
      bench('plug', cylinder: 3, state: 'wet')
      bench('figure', figure: 'lead_per_m', cylinder: 3, value: '95 k', length_m: 0.6)
      expect(plugs['figures']).to match([include('verdict' => 'act', 'words' => include('158.33 kohm a metre'))])
      bench('change', part: 'lead', cylinder: 3, words: 'from stock', new_part: true)
      bench('run', dead: [3])
      expect(plugs['trials'].last).to include('verdict' => 'masked')
      expect(plugs['cylinders'][2]).to include('masked' => true, 'dead' => true)
      expect(plugs['next_step']).to include('kind' => 'change', 'part' => 'plug_dried', 'cylinder' => 3)
      bench('change', part: 'plug_dried', cylinder: 3)
      bench('run', dead: [])
      expect(plugs['trials'].last['words']).to include('came back by one of: lead of cylinder 3: from stock; plug, dried')
      expect(plugs['next_step']['kind']).to eq('done')
    end

    it 'sends back what was not needed' do
      bench('begun', order: '1342', wasted: true)
      bench('run', dead: [2])
      bench('change', part: 'coil', words: 'other coil', new_part: true)
      bench('run', dead: [2])
      bench('change', part: 'plug', cylinder: 2, new_part: true)
      bench('run', dead: [])
      expect(plugs['next_step']).to include('kind' => 'shelf', 'part' => 'coil')
      bench('shelf', change: plugs['to_shelf'].first['change'])
      expect([plugs['to_shelf'], plugs['next_step']['kind']]).to eq([[], 'done'])
    end

    it 'keeps which way round the coil is, and the heat range as a choice' do
      bench('begun', order: '1-3-4-2')
      bench('polarity', reversed: true)
      bench('heat_range', words: 'One hotter: it idles all night')
      expect(plugs['figures']).to match([include('label' => 'Coil polarity', 'verdict' => 'act', 'words' => /15 to 30 %/)])
      expect(plugs['heat_range']).to eq('One hotter: it idles all night')
      bench('polarity', reversed: false)
      expect(plugs['figures'].first).to include('verdict' => 'sound')
      expect(plugs['log'].map { |line| line['words'] }.last).to eq('Coil the right way round')
    end

    it 'refuses a cylinder it has not, a change that is none, a lead without a length, an order that repeats' do
      bench('begun', order: '1-3-3-2')
      expect([status, error['message']]).to match([422, /cylinder 3 stands in it twice/])
      bench('begun', order: '1-3-4-2')
      bench('run', dead: [7])
      expect(fields).to eq('dead' => 'this engine has no cylinder 7')
      bench('plug', cylinder: 5, state: 'wet')
      expect(fields).to eq('cylinder' => 'this engine has no cylinder 5')
      bench('change', part: 'lead')
      expect(fields).to eq('cylinder' => 'say which cylinder')
      bench('shelf', change: SecureRandom.uuid)
      expect(fields).to eq('change' => 'is no change of this search')
      bench('figure', figure: 'lead_per_m', cylinder: 1, value: '9 k')
      expect([status, error['message']]).to match([422, /How long is this lead/])
      bench('figure', figure: 'points_gap', value: 'wide')
      expect(fields).to eq('value' => 'is not a number')
      expect(plugs['log']).to eq([])
    end
  end

  describe 'a cap' do
    def wire(**entry) = say(craft: 'cap', kind: 'wired', order: '1-3-4-2', rotation: 'anticlockwise', first_at: 3, **entry)
    def hours(map) = map['towers'].to_h { |one| one.values_at('cylinder', 'hour') }

    # Check value of the trade: 1-3-4-2, 1 at three, 3 at twelve, 4 at nine, 2 at six is anticlockwise.
    it 'is rebuilt from loose leads, with a second look at it and the leads by their length' do
      wire(numbering: 'Cylinder 1 at the fan, seen from the driver', seen_first_at: 12, seen_mirrored: true, needs: [60, 45, 30, 38],
           leads: [40, 65, 48, 35])
      map = engine['cap']['maps'].first
      expect(hours(map)).to eq(1 => 3, 3 => 12, 4 => 9, 2 => 6)
      expect(map['seen'].map { |one| one.values_at('cylinder', 'hour') }).to eq([[1, 12], [3, 3], [4, 6], [2, 9]])
      expect(map.values_at('rotation', 'seen_rotation')).to eq(%w[anticlockwise clockwise])
      expect(engine['cap']['lengths'].map { |one| one['lead_cm'] }).to eq([65, 48, 35, 40])
    end

    it 'is shown both ways where the rotor is not known, with what is wrong on it now' do
      wire(rotation: 'not known', towers: [1, 3, 4, 2], weak: [3, 4])
      expect(engine['cap']['maps'].map { |map| [map['rotation'], map['verdict']['right']] }).to eq([['clockwise', true], ['anticlockwise', false]])
      expect(engine['cap']).to include('both_ways' => false, 'reversed' => '1-2-4-3', 'changes' => ['change the leads of 3 and 4'])
    end

    # A form that began with less would draw another cap the next time.
    it 'tells again what it was drawn from, so that it can be drawn again' do
      drawn = { order: '1-2', rotation: 'clockwise', first_at: 12, intervals: [90, 270], seen_first_at: 6, seen_mirrored: true, weak: [1, 2],
                wasted: false, needs: [30, 40], leads: [45, 35] }
      wire(**drawn)
      expect(engine['cap'].transform_keys(&:to_sym)).to include(drawn)
      expect(hours(engine['cap']['maps'].first)).to eq(1 => 12, 2 => 3)
      wire(**engine['cap'].transform_keys(&:to_sym).slice(*drawn.keys))
      expect(hours(engine['cap']['maps'].first)).to eq(1 => 12, 2 => 3)
    end

    it 'refuses five towers for four cylinders, and keeps the last good one' do
      wire
      wire(towers: [1, 3, 4, 2, 5])
      expect([status, error['message']]).to match([422, /5 towers for 4 cylinders/])
      wire(needs: [60, 45, 30, 38], leads: [10, 10, 10, 10])
      expect(error['message']).to include('None of these leads reaches cylinder 1')
      expect(engine['cap']['present']).to be_nil
    end
  end

  describe 'what nobody would send, and what the network does' do
    let(:entry) { { id: SecureRandom.uuid, craft: 'plugs', kind: 'begun', order: '1-3-4-2' } }
    let(:path) { "/api/units/#{unit.id}/engine-entries" }

    def rows = Server::Models::EngineEntry.where(unit_id: unit.id)

    it 'keeps one entry where the reply was lost and it is sent again, and refuses another body under the same id' do
      2.times { write(:post, path, entry, request_id: entry[:id]) }
      expect([status, rows.count]).to eq([201, 1])
      write(:post, path, entry.merge(order: '1-2-4-3'), request_id: entry[:id])
      expect([status, rows.count]).to eq([409, 1])
    end

    it 'strikes an entry once, with a reason, by whoever may take readings' do
      write(:post, path, entry)
      strike = "/api/engine-entries/#{entry[:id]}/strike"
      write(:post, strike, { reason: '' })
      expect(status).to eq(422)
      2.times { |index| write(:post, strike, { reason: "Reason #{index}" }) }
      expect([status, rows.select_map(:struck_because)]).to eq([200, ['Reason 0']])
      write(:post, "/api/engine-entries/#{SecureRandom.uuid}/strike", { reason: 'x' })
      expect(status).to eq(404)
    end

    it 'is seen by a reader, and told by nobody who may not' do
      %w[reader driver].each do |role|
        sign_in_as(role)
        expect(engine['unit']['number']).to eq(unit.number)
        write(:post, path, entry.merge(id: SecureRandom.uuid))
        expect(status).to eq(403)
      end
      expect(rows.count).to eq(0)
    end

    it 'knows no unit that is not there, and nothing of another unit' do
      write(:post, "/api/units/#{SecureRandom.uuid}/engine-entries", entry)
      expect(status).to eq(404)
      other = a_unit(arrangement: 'single', battery_count: 1)
      foreign = fitting('magneto_kill', on: other)
      say(craft: 'kill', kind: 'begun', sheet: foreign.id, device: foreign.version.to_core.part('L9').uuid)
      expect([status, rows.count]).to eq([404, 0])
    end

    it 'keeps one row in the audit for each entry, and for its strike' do
      write(:post, path, entry)
      write(:post, "/api/engine-entries/#{entry[:id]}/strike", { reason: 'Other engine' })
      expect(Server::DB[:audit].where(table_name: 'engine_entry', row_id: entry[:id]).order(:id).select_map(:action)).to eq(%w[insert update])
    end
  end

  it 'keeps sums on the unit, worked out by the rules of now' do
    say(craft: 'sum', kind: 'kept', sum: 'tachometer', typed: { source_pulses: '17.64', gauge_pulses: '2', rpm: '1000' })
    expect(engine['sums']).to match([include('sum' => 'tachometer', 'answer' => 'shows 8820 rpm at 1000', 'person' => 'Spec electrician')])
    say(craft: 'sum', kind: 'kept', sum: 'tachometer', typed: { gauge_pulses: '0' })
    expect([status, error['message']]).to match([422, /over 0/])
    write(:post, "/api/engine-entries/#{engine['sums'].first['id']}/strike", { reason: 'Other gauge' })
    expect(engine['sums']).to eq([])
  end
end
