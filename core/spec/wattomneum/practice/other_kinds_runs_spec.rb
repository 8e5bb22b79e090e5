# frozen_string_literal: true

# Units that are not 12 V or 24 V of lead and acid on a grounded negative: the same blind runs, one seed each every day and twenty in the long
# part. What no limit holds for is condemned by nobody; what is copper is found as ever.
RSpec.describe 'Blind runs on other kinds of units', :seeds do # rubocop:disable RSpec/DescribeClass -- as the others
  kinds = { '6 V' => { system_volt: 6 }, '48 V' => { system_volt: 48, types: 'lithium' }, '12 V of lithium' => { types: 'lithium' },
            'a converter' => { regulator: 'dc_dc' }, 'a positive ground' => { grounding: 'positive' },
            'an insulated return' => { grounding: 'insulated' } }
  faults = { 'a lug at the stud' => ['starting', 'K2 lug of wire 4', 0.05], 'the ground cable' => ['starting', 'wire 5', 0.05],
             'the wire to the coil' => ['starting', 'wire 15', 5000.0], 'the output' => ['charging', 'G lug of wire 30', 0.05],
             'the excitation' => ['charging', 'wire 36', 1e6] }

  def unit_of(types: 'flooded', **facts)
    single_battery(batteries: { 'A' => battery('only', type: types) }, has_isolator: true, **facts)
  end

  def joint(item, ohm) = Wattomneum::Practice::Fault.new(item: item, adds_ohm: ohm)
  def part(element, kind) = Wattomneum::Practice::UnitFault.new(element: element, kind: kind)

  kinds.each do |kind, facts|
    faults.each do |name, (work, item, ohm)|
      it "mend #{name} and nothing else on #{kind}" do
        (1..Extent.of(1, 20)).each do |seed|
          fault = joint(item, ohm * Random.new(seed).rand(0.7..1.5))
          last, technician, unit = run(unit_of(**facts), [fault], seed: seed, celsius: Random.new(seed).rand(5..25), work: work)
          expect([seed, good_parts_mended(technician, [fault], unit.machine), twice_running(technician)]).to eq([seed, [], []])
          expect([seed, last.kind, unit.faults]).to eq([seed, 'close', []])
        end
      end
    end
  end

  # What the ladder of an alternator would condemn is parked with its name where that ladder does not hold.
  { 'a converter' => /converter/i, '48 V' => /charger/, '12 V of lithium' => /charger/ }.each do |kind, named|
    it "park a dead charger on #{kind}, and condemn nobody" do
      (1..Extent.of(1, 20)).each do |seed|
        last, technician, = run(unit_of(**kinds.fetch(kind)), [part('alternator', 'dead')], seed: seed, celsius: 15, work: 'charging')
        expect([seed, last.kind, technician.repairs]).to eq([seed, 'watch', []])
        expect(last.why).to match(named)
      end
    end
  end

  it 'mend the weak one of a pair with an equaliser, which is off while its halves are read' do
    (1..Extent.of(1, 20)).each do |seed|
      weak = Wattomneum::Practice::UnitFault.new(element: 'battery', kind: 'weak', amount: 0.3, position: 'B')
      last, technician, unit = run(series_pair(has_equaliser: true), [weak], seed: seed, celsius: 15)
      expect([seed, good_parts_mended(technician, [weak], unit.machine), last.kind]).to eq([seed, [], 'close'])
    end
  end
end
