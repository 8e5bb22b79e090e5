# frozen_string_literal: true

RSpec.describe Wattomneum::Jobs::CloseGate do
  let(:failing) { reading('negative_cable_drop', 3.1) }
  let(:before) { [*ground_work(behaviour: 'click', cranking_volt: 12.2), failing] }
  let(:repair) { Wattomneum::Jobs::Repair.new(id: 'm1', element: 'negative_cable', failing_reading_id: failing.id) }

  def missing(*after, repairs: [repair], **rest) = assess([*before, *after], repairs: repairs, **rest).missing_to_close
  def cranked(seen = 'normal') = reading('cranking_behaviour', seen, round: 1)
  def proving(volt, **rest) = reading('negative_cable_drop', volt, round: 1, **rest)

  it 'lets a proved repair close' do
    expect(missing(cranked, proving(0.08))).to be_empty
  end

  it 'names each missing point' do
    expect(missing(repairs: [])).to include(start_with('No repair is recorded'))
    expect(missing(cranked)).to include('Repeat volts, frame to negative post, cranking: same points, same state')
    expect(missing(proving(0.08))).to include('See it crank after the repair')
    expect(missing(cranked, proving(0.08), disturbed_count: 2)).to eq(['Put back what was disturbed: 2 still open'])
  end

  it 'does not take a failing, a void or an earlier reading for proof' do
    expect(missing(cranked, proving(0.9))).to include(end_with('still fails after the repair'))
    expect(missing(cranked('click'), reading('posts_cranking', 12.5, round: 1), proving(0.02))).to include(include('proves nothing'))
    expect(missing(cranked, reading('negative_cable_drop', 0.08, round: 0))).to include(start_with('Repeat'))
  end

  it 'does not take the same test in another state for proof' do
    expect(missing(cranked, proving(0.0, state: 'off'))).to include(start_with('Repeat'))
  end

  it 'does not close while the complaint is still there' do
    expect(missing(cranked('slow'), proving(0.08))).to include('Cranked last: "Cranks slowly". The complaint is not cured')
  end

  it 'asks which reading showed the fault when none was named' do
    unnamed = Wattomneum::Jobs::Repair.new(id: 'm1', element: 'negative_cable', failing_reading_id: nil)
    expect(missing(cranked, repairs: [unnamed])).to include(start_with('Name the reading'))
  end

  describe 'of what goes flat standing' do
    let(:symptom) { Wattomneum::Jobs::Symptom.of('charging').dup.tap { |one| one.seen = 'goes_flat' } }
    let(:charges) { [reading('charging_fast_idle', 14.2, round: 1), reading('charging_loaded', 13.9, round: 1)] }

    def asleep(ampere, round:) = reading('draw_asleep', ampere, round: round, conditions: { 'asleep_waited' => 'yes', 'value_confirmed' => 'yes' })

    def owed(element, *readings)
      place = element == 'battery' ? 'A' : nil
      repair = Wattomneum::Jobs::Repair.new(id: 'm1', element: element, position: place, failing_reading_id: readings.first.id)
      assess(readings + charges, repairs: [repair], symptom: symptom).missing_to_close.grep(/draws/)
    end

    it 'owes the draw, once in the job, and once more after an alternator, whose diodes may leak' do
      expect(owed('battery', reading('rest_voltage', 10.6, position: 'A'))).to eq(['See that nothing draws much while it stands'])
      expect(owed('battery', asleep(0.02, round: 0))).to eq([])
      expect(owed('alternator', asleep(0.02, round: 0))).to eq(['See that nothing draws much while it stands'])
      expect(owed('alternator', asleep(0.8, round: 0), asleep(0.02, round: 1))).to eq([])
    end
  end
end
