# frozen_string_literal: true

# Common practice: look first at what was mended before, and beside where hands were last.
RSpec.describe Wattomneum::Faults::Suspects::Priors do
  let(:machine) { Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch('heater')) }
  let(:units) { machine.repair_units }

  def priors(*past) = described_class.new(machine, past.map { |unit, days| Wattomneum::Jobs::PastWork.new(unit: unit, days: days) })

  it 'weighs a part that was mended before, and for two months what lies in the same place' do
    ratios = priors(['F8', 20]).ratios
    beside = units.all.select { |unit| unit.zone == units.fetch('F8').zone && unit.key != 'F8' }
    expect(ratios['F8']).to eq(1.5)
    expect(beside.map { |unit| ratios[unit.key] }.uniq).to eq([2.0])
    expect(ratios.size).to eq(beside.size + 1)
  end

  it 'forgets what lies beside sooner than the part itself, and both in time' do
    expect(priors(['F8', 61]).ratios).to eq('F8' => 1.5)
    expect(priors(['F8', 731], ['gone', 3]).ratios).to eq({})
  end

  it 'says why, by the last time' do
    past = priors(['F8', 400], ['F8', 1], ['U3', 9])
    expect(past.words(units.fetch('F8'))).to eq('mended 1 day ago')
    expect(past.words(units.fetch('U3'))).to eq('mended 9 days ago')
    expect(priors.words(units.fetch('F8'))).to be_nil
  end

  it 'takes what was tried before by the parts that it names' do
    told = ->(what, fitted: false) { Wattomneum::Jobs::TriedBefore.past_work([Wattomneum::Jobs::TriedBefore::Told.new(what: what, fitted: fitted)], machine) }
    expect(told.call('New blower m3 from the box').map(&:to_a)).to eq([['M3', 0, 'fitted']])
    expect(told.call('Swapped the heater plug').map(&:unit)).to eq(['E5'])
    expect(told.call('pulled f8 and looked').map(&:kind)).to eq(['handled'])
    expect(told.call('F8', fitted: true).map(&:kind)).to eq(['fitted'])
    expect(told.call('Jump start, F81, tapping')).to eq([])
    fitted = described_class.new(machine, told.call('new F8'))
    expect([fitted.ratios['F8'], fitted.words(units.fetch('F8'))]).to eq([0.5, 'fitted new before this job'])
    expect(fitted.ratios.except('F8').values.uniq).to eq([2.0])
  end

  it 'moves the belief, and a reading moves it back' do
    table = Wattomneum::Faults::Suspects::Table.new(machine, machine.sheet.part('U3'), 'key_on').work_out
    shares = [{}, priors(['F8', 20]).ratios].map { |times| Wattomneum::Faults::Suspects::Belief.new(table.predictions, times: times).by_unit }
    expect(shares.last[units.fetch('F8')]).to be > shares.first[units.fetch('F8')]
    told = Wattomneum::Faults::Suspects::Belief.new(table.predictions, times: priors(['F8', 20]).ratios)
    expect(told.shown('F8:1', 'F8:2', 0.001, posts_volt: 25.2).shown('U3:A/1', 'U3:A/2', 0.0,
                                                                     posts_volt: 25.2).by_unit[units.fetch('F8')]).to be < 0.02
  end
end
