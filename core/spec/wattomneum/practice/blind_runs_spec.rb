# frozen_string_literal: true

# The next step followed blindly on hidden faults, one seed each every day and forty in the long part: what it mends must be what is broken.
RSpec.describe 'Blind runs', :seeds do # rubocop:disable RSpec/DescribeClass -- judges, ladders, order of work and gate together
  seeds = Extent.of(1, 40)
  joint = ->(item, ohm) { Wattomneum::Practice::Fault.new(item: item, adds_ohm: ohm) }
  part = ->(element, kind, amount = nil) { Wattomneum::Practice::UnitFault.new(element: element, kind: kind, amount: amount) }

  HiddenFaults::BY_WORK.each do |work, faults|
    faults.each do |name, (system, hidden)|
      it "mend what is broken and nothing else behind #{name}, -15 to 30 degC" do
        outcomes = (1..seeds).filter_map do |seed|
          random = Random.new(seed * 7919)
          injected = hidden.call(random)
          last, technician, unit = run(public_send(system), injected, seed: seed, celsius: random.rand(-15.0..30.0).round, work: work)
          expect([seed, good_parts_mended(technician, injected, unit.machine)]).to eq([seed, []])
          expect([seed, twice_running(technician)]).to eq([seed, []])
          still_wrong = unit.faults.reject { |one| where(one, unit.machine).first == 'loads' }
          expect([seed, still_wrong]).to eq([seed, []]) if last.kind == 'close'
          expect(last.kind).to eq('close').or eq('watch')
          # What cannot be seen to fail is parked, honestly.
          next if technician.readings.grep(Wattomneum::Readings::Reading).find { |one| one.test_key == 'cranking_behaviour' }&.observation == 'normal'

          still_wrong.empty? ? 'mended' : 'parked'
        end
        expect(outcomes.count('mended')).to be >= (outcomes.size * 0.8).floor
      end
    end
  end

  # What no part of the start or charge circuit is at fault for: nothing is mended, and the job says where else to look, or parks.
  elsewhere = {
    'starts and dies' => [-5..25, 'starting', part.call('fuel', 'lost')],
    'drags in the cold' => [-20..-12, 'starting', part.call('engine', 'drags', 1.25)],
    'a regulator flat within its band' => [0..30, 'charging', part.call('alternator', 'low', 0.3)],
    'loads on with the key' => [0..30, 'charging', part.call('loads', 'on', 25.0)]
  }
  elsewhere.each do |name, (temperatures, work, fault)|
    it "mend nothing behind #{name}" do
      ends = (1..seeds).map do |seed|
        last, technician, = run(parallel_pair, [fault], seed: seed, celsius: Random.new(seed).rand(temperatures), work: work)
        [last.kind, technician.repairs]
      end
      expect(ends.uniq).to eq([['watch', []]])
    end
  end

  # Glow plugs that draw while it cranks pull the posts down: the sag then says nothing of the starter, the clamp does.
  it 'condemn an open starter by the clamp where other loads draw too, and prove it by its turning' do
    core = Wattomneum
    sheets = %w[start_12v charge_12v grounds_bus glow cluster].map { |key| core::Circuits::Library.fetch(key) }
    drawn = core::Circuits::Assembly.new(sheets).sheet
    [3, 31, 32].each do |seed|
      unit = core::Practice::Unit.new(system: parallel_pair, drawn: drawn, seed: seed, temperature_celsius: 8.0, faults: [core::Practice::Fault.open('M1')])
      technician = core::Practice::Technician.new(unit)
      last = technician.work
      expect([last.kind, technician.repairs.map { |one| one.element || one.unit }, unit.faults]).to eq(['close', ['starter'], []])
      expect(technician.readings.map { |one| one.is_a?(core::Readings::Reading) && one.test_key }).to include('cranking_current')
    end
  end

  it 'find the place of a click that is a ground or a lug in seven steps, a third of the joints of the start loop, in the long part all', :seeds do
    steps = [parallel_pair, series_pair, single_battery].flat_map do |system|
      Extent.sample(joints_of(usual_machine(system)), one_in: 3).map do |item|
        _, technician, = run(system, [joint.call(item.key, 0.08)], seed: 3, celsius: 15)
        [item.key, technician.readings.first.observation, technician.events.index(&:repair) || 99]
      end
    end
    expect(steps.reject { |_, behaviour, count| behaviour == 'click' && count <= 7 }).to eq([])
    expect(steps.size).to be > Extent.of(10, 30)
  end

  # Every clamp, lug, ring, strap, cable and the isolator that the starter's current passes.
  def joints_of(machine)
    finder = machine.paths('cranking')
    ends = [%w[positive_post starter_stud], %w[starter_case negative_post]].map { |pair| pair.map { |place| machine.sheet.places.fetch(place) } }
    indices = ends.flat_map { |from, to| finder.between(from, to).steps.map(&:index) }
    machine.circuit.items.select { |item| item.branches.size == 1 && indices.intersect?(item.branches) }
  end
end
