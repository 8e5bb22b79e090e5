# frozen_string_literal: true

require_relative '../../support/comes_and_goes'
require_relative '../../support/hidden_faults'
require_relative '../../support/blind_runs'

RSpec.describe Wattomneum::Faults::EngineMeanwhile do
  include BlindRuns

  def meanwhile(did) = { 'value_confirmed' => 'yes', 'posts_now_volt' => 12.5, 'engine_meanwhile' => did }
  def comes_and_goes = Wattomneum::Jobs::Symptom.new(work: 'starting', situation: 'cranking', seen: 'comes_and_goes')

  # Silent, and full volts on the solenoid while it was so, or while it cranked.
  def silent_with(signal) = [reading('cranking_behaviour', 'silent'), reading('solenoid_signal', 12.0, conditions: meanwhile(signal))]

  it 'counts what was read while the engine stood, and nothing that was read while it cranked' do
    stood = assess(silent_with('does not turn'))
    expect(stood.judgement('solenoid_signal').code).to eq('drop.small_unknown')
    read = silent_with('cranks')
    cranked = assess(read)
    expect(cranked.judgement('solenoid_signal')).to be_nil
    expect(cranked.judgements.fetch(read.last.id).summary).to include('read while it cranked')
  end

  it 'asks again for what was read while it cranked, and says why' do
    readings = silent_with('cranks') + [reading('posts_rest', 12.6), reading('posts_cranking', 12.5, conditions: meanwhile('does not turn'))]
    step = assess(readings).next_step
    expect([step.test_key, step.why]).to match(['solenoid_signal', include('Read while it cranked')])
  end

  it 'judges what was read while it stood by what the engine did then, not by a later crank' do
    drop = reading('ground_drop', 0.02, conditions: meanwhile('does not turn'))
    both = assess([reading('cranking_behaviour', 'silent'), drop, reading('cranking_behaviour', 'normal')])
    expect(both.reading('cranking_behaviour').observation).to eq('normal')
    expect(both.judgement('ground_drop')).not_to be_sound
    turning = assess([reading('cranking_behaviour', 'normal'), reading('ground_drop', 0.02, conditions: meanwhile('cranks'))])
    expect(turning.judgement('ground_drop')).to be_sound
  end

  # What was charged meanwhile cranks: that is no fault that comes and goes.
  it 'takes a crank after it failed for what it does now, and one that fails again, or beside a reading, for coming and going' do
    tried = ->(*seen) { assess(seen.map { |one| reading('cranking_behaviour', one) }).engine.goes? }
    expect([tried.call('click', 'normal'), tried.call('normal', 'click'), tried.call('click', 'normal', 'click')]).to eq([false, true, true])
    expect(assess(silent_with('cranks')).engine.goes?).to be(true)
    expect(assess(silent_with('does not turn')).engine.goes?).to be(false)
  end

  it 'has a start that is said to come and go cranked until it fails, and parks it where it does not' do
    normal = -> { reading('cranking_behaviour', 'normal') }
    expect(assess([normal.call], symptom: comes_and_goes).next_step.title).to eq('Crank it again until it fails')
    expect(assess([normal.call]).next_step.test_key).to eq('connections_look')
    parked = assess(Array.new(6) { normal.call }, symptom: comes_and_goes).next_step
    expect([parked.kind, parked.title]).to match(['watch', start_with('It cranks now')])
  end

  it 'asks for what nobody said once more, and goes on without it' do
    stud = reading('starter_terminal', 12.45)
    drops = [reading('ground_drop', 0.01), reading('positive_drop', 0.01)]
    signal = reading('solenoid_signal', 12.1, conditions: meanwhile('does not turn'))
    open = [*ground_work(behaviour: 'click', cranking_volt: 12.5), *drops, signal, stud]
    step = assess(open).next_step
    expect([step.test_key, step.why]).to match(['starter_terminal', include('what did the engine do meanwhile?')])
    expect(assess([*open, reading('starter_terminal', 12.45)]).next_step.test_key).to eq('engine_by_hand')
    parked = assess([*open, reading('starter_terminal', 12.45), reading('engine_by_hand', 'free')]).next_step
    expect(parked.kind).not_to eq('condemn')
  end

  it 'lets a proved repair close it once it cranks' do
    lug = reading('positive_drop', 4.0, conditions: meanwhile('does not turn'))
    made = Wattomneum::Jobs::Repair.new(id: 'm', element: 'starter', failing_reading_id: lug.id, temporary: false)
    after = [reading('cranking_behaviour', 'normal', round: 1), reading('posts_cranking', 10.9, round: 1, conditions: meanwhile('cranks')),
             reading('positive_drop', 0.15, round: 1, conditions: meanwhile('cranks'))]
    done = assess([reading('cranking_behaviour', 'click'), lug, *after], repairs: [made], symptom: comes_and_goes)
    expect(done.judgement('positive_drop')).to be_sound
    expect(done.missing_to_close).to eq([])
  end

  # Faults that do come and go: joints, contacts, coils, a brush. Without what the engine does meanwhile, eight starters of 115 were condemned
  # for a relay.
  it 'mends nothing good on a start that comes and goes, and finds most', :seeds do
    kinds = ['a lug at the stud, 12 V', 'an open brush', 'one bad ground joint', 'a signal wire', 'the contact of the start relay',
             'the fuse of the key switch', 'the coil of the solenoid', 'the return of the solenoid, inside the starter']
    seeds = Extent.of([3], [3, 5, 11])
    ends = kinds.product(seeds).map { |name, seed| run_that_comes_and_goes(*HiddenFaults::STARTING.fetch(name), seed) }
    expect(ends.flat_map(&:first)).to eq([])
    expect(ends.count { |_, repaired| repaired }).to be >= 6 * seeds.size
  end

  # @return [Array] good parts mended, and whether anything was
  def run_that_comes_and_goes(system, hidden, seed)
    faults = hidden.call(Random.new(seed))
    made = ->(inside) { Wattomneum::Practice::Unit.new(system: public_send(system), faults: inside, seed: seed) }
    unit = ComesAndGoes.new(made.call(faults), made.call([]), seed)
    technician = Wattomneum::Practice::Technician.new(unit, seen: 'comes_and_goes')
    technician.work
    [good_parts_mended(technician, faults, unit.machine), technician.repairs.any?]
  end
end
