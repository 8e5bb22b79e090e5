# frozen_string_literal: true

# A lost ground sends current back through what shares it: feeds then carry more than they should, and lose more than they may, for a fault
# that lies elsewhere.
RSpec.describe 'A feed that carries more than it should, for a ground lost elsewhere' do # rubocop:disable RSpec/DescribeClass
  core = Wattomneum

  it 'is not mended: the ground that two relays share is, from either station' do
    sheet = core::Circuits::Library.fetch('genset')
    %w[start_house start_here].product((1..6).to_a).each do |situation, seed|
      symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: 'K5', situation: situation, seen: 'dead')
      truth = core::Practice::Truth.new(sheet: sheet, faults: [core::Practice::Fault.open('G14 face to the metal')], seed: seed)
      done = BlindTechnician.new(sheet: sheet, truth: truth, symptom: symptom, system: single_battery).work
      expect(done.repairs.map(&:unit).uniq).to eq(['G14']), done.trail.join("\n")
    end
  end

  it 'takes ohms that should be over range for a hint, whatever the meter showed' do
    machine = core::Circuits::Machine.new(core::Circuits::Library.fetch('charge_12v'))
    probe = core::Readings::Probe.new(by: 'ohms', from: 'H1:1', to: 'H1:2', situation: 'isolator_open', opened: ['H1'])
    symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: 'H1', situation: 'key_on', seen: 'dead')
    shown = [core::Readings::PointReading.new(id: 'a', probe: probe, taken_at: 1, value: 48.0),
             core::Readings::PointReading.new(id: 'b', probe: probe, taken_at: 2, overload: true)]
    judged = core::Faults::Assessment.new(system: single_battery, readings: [], points: shown, machine: machine, symptom: symptom).judgements
    expect(judged.values.map(&:weight).uniq).to eq(['hint'])
  end
end
