# frozen_string_literal: true

# The next step followed blindly on hidden faults, twenty seeds each: what it mends must be what is broken.
RSpec.describe 'Blind runs' do # rubocop:disable RSpec/DescribeClass -- judges, ladders, order of work and gate together
  seeds = 20

  def fault(element, kind, amount = nil, position = nil)
    Wattomneum::Practice::UnitFault.new(element: element, kind: kind, amount: amount, position: position)
  end

  # Readings are the simulator's, meter errors and scatter of the batteries included.
  def run(system, faults, seed:, celsius:, family: 'starting')
    unit = Wattomneum::Practice::Unit.new(system: system, faults: faults, seed: seed, temperature_celsius: celsius)
    technician = Wattomneum::Practice::Technician.new(unit, work: family)
    [technician.work, technician, unit]
  end

  def good_parts_mended(technician, faults)
    technician.repairs.map { |one| [one.element, one.position] } - faults.map { |one| [one.element, one.position] }
  end

  # The same reading asked for twice running as it was, nothing said that would make it count.
  def twice_running(technician)
    technician.events.each_cons(2).select do |one, other|
      asked = [one, other].map { |event| event.step.to_h.slice(:kind, :test_key, :position, :element) }
      asked.uniq.one? && !other.step.title.start_with?('Once more')
    end
  end

  starting = {
    'a lug of 2 to 6 mohm at the stud, 24 V' => [:series_pair, ->(random) { [['starter_cable', 'resistance', random.rand(0.002..0.006)]] }],
    'an open brush' => [:parallel_pair, ->(_) { [['starter', 'open', 0]] }],
    'a tight engine' => [:parallel_pair, ->(_) { [['engine', 'locked', 0]] }],
    'a clamp joint' => [:parallel_pair, ->(random) { [['positive_clamp', 'resistance', random.rand(0.003..0.1)]] }],
    'one bad ground joint' => [:parallel_pair, ->(random) { [['block_strap', 'resistance', random.rand(0.003..0.1)]] }],
    'two bad ground joints' => [:parallel_pair, lambda { |random|
      [['block_strap', 'resistance', random.rand(0.003..0.05)], ['negative_cable', 'resistance', random.rand(0.003..0.05)]]
    }],
    'the weak one of a 24 V pair' => [:series_pair, ->(random) { [['battery', 'weak', random.rand(0.2..0.45), 'B']] }],
    'a mounting face' => [:parallel_pair, ->(random) { [['starter_mount', 'resistance', random.rand(0.002..0.05)]] }],
    'an isolator' => [:series_pair, ->(random) { [['isolator', 'resistance', random.rand(0.004..0.05)]] }],
    'a signal wire' => [:parallel_pair, ->(random) { [['signal_wire', 'resistance', random.rand(1.5..6.0)]] }],
    'nothing at all' => [:parallel_pair, ->(_) { [] }]
  }
  charging = {
    'a dead alternator' => [:parallel_pair, ->(_) { [['alternator', 'dead', 0]] }],
    'excitation lost' => [:parallel_pair, ->(_) { [['excitation_wire', 'dead', 0]] }],
    'a sense joint' => [:parallel_pair, ->(random) { [['sense_wire', 'resistance', random.rand(0.9..3.0)]] }],
    'an open output cable' => [:series_pair, ->(_) { [['output_cable', 'dead', 0]] }],
    'nothing charging' => [:series_pair, ->(_) { [] }]
  }

  { 'starting' => starting, 'charging' => charging }.each do |family, faults|
    faults.each do |name, (system, hidden)|
      it "mend what is broken and nothing else behind #{name}, -15 to 30 degC" do
        outcomes = (1..seeds).filter_map do |seed|
          random = Random.new(seed * 7919)
          injected = hidden.call(random).map { |one| fault(*one) }
          last, technician, unit = run(public_send(system), injected, seed: seed, celsius: random.rand(-15.0..30.0).round, family: family)
          expect([seed, good_parts_mended(technician, injected)]).to eq([seed, []])
          expect([seed, twice_running(technician)]).to eq([seed, []])
          expect([seed, unit.faults.map(&:element)]).to eq([seed, []]) if last.kind == 'close'
          expect(last.kind).to eq('close').or eq('watch')
          # What can not be seen to fail is parked, honestly.
          next if technician.readings.find { |one| one.test_key == 'cranking_behaviour' }&.observation == 'normal'

          unit.faults.empty? ? 'mended' : 'parked'
        end
        expect(outcomes.count('mended')).to be >= outcomes.size * 0.8
      end
    end
  end

  it 'find the place of a click that is a ground or a lug within seven steps' do
    steps = (1..seeds).map do |seed|
      element = %w[block_strap starter_cable][seed % 2]
      _, technician, = run(parallel_pair, [fault(element, 'resistance', 0.08)], seed: seed, celsius: 15)
      technician.events.index { |event| event.repair&.element == element } || 99
    end
    expect(steps.max).to be <= 9
    expect(steps.min).to be <= 7
  end
end
