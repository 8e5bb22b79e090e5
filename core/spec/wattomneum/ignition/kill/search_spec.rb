# frozen_string_literal: true

# The bench of the blind runs is the circuit itself, solved with what is grounded or open in it: it knows nothing of the search.
class KillBench
  CIRCUITS = Wattomneum::Circuits
  GROUNDED_OHM = 0.5

  # @param grounded [Array<String>] numbers of wires that touch the block
  # @param open [Array<String>] numbers of wires that are broken
  def initialize(sheet, grounded:, open: [])
    @sheet = sheet
    @grounded = grounded
    @open = open
  end

  def mend(*wires)
    @grounded -= wires
    @open -= wires
  end

  # @param off [Array<String>] numbers of wires that are off
  def spark?(off, state: 'running')
    wires = @sheet.wires.reject { |wire| off.include?(wire.number) || @open.include?(wire.number) } + shorts(off)
    settled = CIRCUITS::Machine.new(CIRCUITS::Sheet.new(**fields, wires: wires)).settled
    watch = settled.circuit.watches.find { |one| one.key == 'L9' }
    CIRCUITS::Questions::Workings.new(settled.moved(from: 'running', to: state)).works?(watch, state)
  end

  def ohm(wire) = @grounded.include?(wire) ? GROUNDED_OHM : 2e7

  private

  def fields = CIRCUITS::Sheet::FIELDS.to_h { |name| [name, @sheet.public_send(name)] }

  # A grounded wire that is off its stud grounds nothing: it touches metal on its far side.
  def shorts(off)
    (@grounded - off).map do |number|
      wire = @sheet.wire(number)
      CIRCUITS::Wire.new(number: "short #{number}", uuid: CIRCUITS::Sheet.first_uuid('x', 'wire', number), from: wire.from, to: 'BLOCK:metal',
                         ohm: GROUNDED_OHM)
    end
  end
end

RSpec.describe Wattomneum::Ignition::Kill::Search do
  let(:sheet) { Wattomneum::Circuits::Library.fetch('magneto_kill') }
  let(:stop) { sheet.stops.first }
  let(:branches) { Wattomneum::Ignition::Kill::Branches.new(sheet, stop) }
  let(:asked) { Wattomneum::Circuits::Questions::StopTable.new(Wattomneum::Circuits::Machine.new(sheet), stop).asked }

  def key(number) = branches.all.find { |one| one.number == number }.key
  def number(key) = branches.find(key)&.number || key
  def entry(**about) = Wattomneum::Ignition::Kill::Entry.new(at: Time.at(about.delete(:second) || 0), **about)
  def search(entries, trials = {}) = described_class.new(branches, asked: asked, entries: entries, trials: trials)

  # Does what it is told, answers what the bench shows, until it is told that it is done.
  #
  # @return [Array(Array<String>, Search)] branches it mended, and how it ended
  def follow(bench)
    entries = []
    trials = {}
    mended = []
    60.times do |second|
      found = search(entries, trials)
      step = found.next_step
      return [mended, found] if step.kind == 'done'
      next trials[step.asked] = [bench.spark?([], state: step.asked) ? 'ran_on' : 'stopped', Time.at(second)] if step.kind == 'prove'

      entries << answer(step, found, bench, mended, second)
    end
    raise 'never done'
  end

  def answer(step, found, bench, mended, second)
    about = step.to_h.slice(:kind, :branch, :stage).merge(second: second)
    case step.kind
    when 'mended' then mended << number(step.branch) and bench.mend(*wires_of(number(step.branch))) and entry(**about, words: 'made anew')
    when 'branch_ohm' then entry(**about, ohm: bench.ohm(number(step.branch)))
    when 'watched' then entry(**about, words: 'door switch')
    else entry(**about, spark: bench.spark?(off(step, found)))
    end
  end

  def wires_of(what) = what == 'lead' ? %w[5 1] : [what, *{ '12' => ['13'], '8' => ['9'] }[what]]

  def off(step, found)
    case step.kind
    when 'lead_off' then ['1']
    when 'all_off' then branches.all.map(&:number)
    when 'branch_on' then branches.all.map(&:number) - found.on.map(&:number) - [number(step.branch)]
    else []
    end
  end

  it 'reads the branches off the circuit, with what grounds them on purpose' do
    expect(branches.all.to_h { |one| [one.number, one.asked] }).to eq('6' => %w[key_off], '8' => %w[door_left], '10' => %w[door_right],
                                                                      '12' => %w[emergency_stop], '14' => %w[oil_low])
    expect(branches.lead).to eq(['5'])
  end

  # Every set of up to three grounded branches, two at once among them: followed blindly, exactly those are mended.
  it 'finds every branch that grounds, whichever they are, and mends no other' do
    keys = branches.all.map(&:number)
    sets = (1..3).flat_map { |count| keys.combination(count).to_a }
    sets.each do |grounded|
      mended, ended = follow(KillBench.new(sheet, grounded: grounded))
      expect(mended.sort).to eq(grounded.sort)
      expect(ended).to be_proved
    end
  end

  it 'parts the lead to the stud from its branches' do
    mended, ended = follow(KillBench.new(sheet, grounded: ['5']))
    expect([mended, ended.proved?]).to eq([['lead'], true])
  end

  it 'finds a branch that no longer kills while it proves the interlocks' do
    mended, ended = follow(KillBench.new(sheet, grounded: ['8'], open: ['13']))
    expect([mended.sort, ended.proved?]).to eq([%w[12 8], true])
  end

  it 'looks to the ignition unit where there is no spark without the kill lead' do
    found = search([entry(kind: 'lead_off', spark: false)])
    expect(found.next_step.to_h).to include(kind: 'mended', branch: 'unit')
    expect(found.next_step.cautions).to include('spark_test')
  end

  it 'puts on watch what let go by itself, and calls nothing cleared' do
    seen = [entry(kind: 'lead_off', spark: true), entry(kind: 'all_off', spark: true),
            *branches.all.map { |one| entry(kind: 'branch_on', branch: one.key, spark: true) }]
    expect(search(seen).next_step.kind).to eq('watched')
    expect(search(seen).next_step.words).to include('damp dust')
    expect(search([*seen, entry(kind: 'watched', words: 'door switch')]).next_step.to_h).to include(kind: 'refit', stage: 'stud')
  end

  it 'keeps a branch suspect that grounded and is sound by ohms' do
    seen = [entry(kind: 'lead_off', spark: true), entry(kind: 'all_off', spark: true),
            *branches.all.map do |one|
              entry(kind: 'branch_on', branch: one.key, spark: one.number != '10')
            end, entry(kind: 'branch_ohm', branch: key('10'), ohm: 8e6)]
    expect(search(seen)).to be_comes_and_goes(branches.find(key('10')))
    again = [*seen, entry(kind: 'mended', branch: key('10'), words: 'moved it'), entry(kind: 'branch_on', branch: key('10'), spark: true)]
    expect(search(again).next_step.kind).to eq('watched')
  end

  context 'with all branches on and the spark back' do
    let(:mended) do
      [entry(kind: 'lead_off', spark: true), entry(kind: 'all_off', spark: true),
       *branches.all.map do |one|
         entry(kind: 'branch_on', branch: one.key, spark: one.number != '8')
       end, entry(kind: 'branch_ohm', branch: key('8'), ohm: 3.0),
       entry(kind: 'mended', branch: key('8'), words: 'sleeve'), entry(kind: 'branch_on', branch: key('8'), spark: true)]
    end

    def together = mended + %w[stud plugs covers].map { |stage| entry(kind: 'refit', stage: stage, spark: true, second: 100) }

    it 'tries every branch anew where putting together takes the spark away' do
      found = search([*mended, entry(kind: 'refit', stage: 'stud', spark: true), entry(kind: 'refit', stage: 'plugs', spark: false)])
      expect(found.lost_at).to eq('plugs')
      expect(found.next_step.to_h).to include(kind: 'branch_on', branch: key('6'))
      expect(found.untried.size).to eq(5)
    end

    it 'counts no stop that was seen before the machine went together' do
      early = asked.to_h { |one| [one.key, ['stopped', Time.at(50)]] }
      expect(search(together, early).interlocks.map(&:state).uniq).to eq(['open'])
      expect(search(together, early.transform_values { ['stopped', Time.at(101)] })).to be_proved
    end

    it 'skips no interlock in silence' do
      trials = asked.drop(1).to_h { |one| [one.key, ['stopped', Time.at(101)]] }
      skipped = search([*together, entry(kind: 'skipped', asked: 'key_off', words: 'key is broken off', second: 102)], trials)
      expect(skipped).not_to be_proved
      expect(skipped.next_step.words).to include('Not proved to stop it', 'key is broken off')
    end
  end

  # A caution stands at the step where somebody could be hurt, and each names one that there is.
  it 'warns at every step with a lead in hand of battery volts, at every spark of the tester, at every trial of running on' do
    seen = { 'lead_off' => [[], {}], 'all_off' => [[entry(kind: 'lead_off', spark: true)], {}] }
    off = [entry(kind: 'lead_off', spark: true), entry(kind: 'all_off', spark: true)]
    on = branches.all.map { |one| entry(kind: 'branch_on', branch: one.key, spark: true) }
    seen['branch_on'] = [off, {}]
    seen['branch_ohm'] = [[*off, *on.drop(1), entry(kind: 'branch_on', branch: key('6'), spark: false)], {}]
    seen['refit'] = [[*off, *on, entry(kind: 'watched', words: 'x')], {}]
    seen['prove'] = [seen['refit'].first + %w[stud plugs covers].map { |stage| entry(kind: 'refit', stage: stage, spark: true) }, {}]
    seen.each do |kind, (entries, trials)|
      step = search(entries, trials).next_step
      expect(step.kind).to eq(kind)
      expect { Wattomneum::Safety::Cautions.fetch_all(step.cautions) }.not_to raise_error
      expect(step.cautions).to include('kill_lead') if %w[lead_off all_off branch_on branch_ohm].include?(kind)
      expect(step.cautions).to include('spark_test') if %w[lead_off all_off branch_on refit].include?(kind)
    end
    expect(search(*seen['prove']).next_step.cautions).to eq(['try_stop'])
  end

  it 'wants a stud' do
    engine = Wattomneum::Circuits::Library.fetch('engine_stop')
    expect { Wattomneum::Ignition::Kill::Branches.new(engine, engine.stops.first) }.to raise_error(Wattomneum::InvalidQuantityError, /names no stud/)
  end

  it 'is together with every branch on the stud and every stage put together, and not with either alone' do
    on = ->(sparks) { branches.all.map { |one| entry(kind: 'branch_on', branch: one.key, spark: one.number == '6' ? sparks : true) } }
    stages = %w[stud plugs covers].map { |stage| entry(kind: 'refit', stage: stage, spark: true) }
    off = [entry(kind: 'lead_off', spark: true), entry(kind: 'all_off', spark: true)]
    ways = [[*off, *on.call(true), *stages], [*off, *on.call(true), *stages.first(2)], [*off, *on.call(false), *stages],
            [*stages, *off, *on.call(true)]]
    expect(ways.map { |entries| search(entries).together? }).to eq([true, false, false, false])
  end

  it 'takes for what comes and goes only a branch that grounded on the stud and is sound by ohms off it' do
    seen = [entry(kind: 'all_off', spark: true), entry(kind: 'branch_on', branch: key('6'), spark: false),
            entry(kind: 'branch_on', branch: key('8'), spark: true)]
    least = Wattomneum::Limits::Table.shipped.fetch('ignition.kill_insulation_least').value
    told = lambda do |number, ohm|
      search([*seen, entry(kind: 'branch_ohm', branch: key(number), ohm: ohm)]).comes_and_goes?(branches.find(key(number)))
    end
    expect([told.call('6', least), told.call('6', least - 1), told.call('8', least)]).to eq([true, false, false])
    expect(search(seen)).not_to be_comes_and_goes(branches.find(key('6')))
  end
end
