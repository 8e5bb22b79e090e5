# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::SeriesRuns do
  let(:circuit) { Wattomneum::Circuits::Library.fetch('fuel_pump').circuit }

  def run_of(key) = described_class.new(circuit).of(circuit.item(key).branches)

  it 'puts fuse, wires and plug pins of one unforked way into one run' do
    expect(run_of('wire 5')).to eq(run_of('F15')).and eq(run_of('wire 9'))
    expect(run_of('wire 10')).to eq(run_of('K11 contact 30 to 87'))
  end

  it 'ends a run where the way forks and where something is watched' do
    expect(run_of('wire 4')).not_to eq(run_of('wire 5'))
    expect(run_of('wire 11')).not_to eq(run_of('wire 13'))
  end

  # Read off the drawing: F2 to K11, wire 5, its fuse F15, wire 9.
  it 'lays a run out in the order in which one goes along it' do
    steps = described_class.new(circuit).in_order(circuit.item('F15').branches.first)
    labels = steps.map { |step| circuit.describe(step.index) }
    inner = labels.index { |label| label.include?('F15') || label.include?('fuse') }
    around = [labels[inner - 1], labels[inner + 1]]
    expect(around).to contain_exactly(start_with('wire 5 '), start_with('wire 9 '))
    steps.each_cons(2) { |one, following| expect(following.from).to eq(one.to) }
  end

  # That is what makes it safe: every member has the same effect when it opens.
  it 'groups only what has the same effect when solved one by one' do
    machine = settled(circuit.sheet)
    sound = Wattomneum::Circuits::Questions::Workings.new(machine)
    runs = described_class.new(circuit)
    circuit.items.select { |item| item.branches.size == 1 }.group_by { |item| runs.of(item.branches) }.each_value do |items|
      effects = items.map do |item|
        broken = Wattomneum::Circuits::Questions::Workings.new(settled(circuit.sheet, opened: item.branches))
        circuit.sheet.states.keys.map { |state| circuit.watches.map { |watch| broken.change(watch, state, sound) } }
      end
      expect(effects.uniq.size).to eq(1), items.map(&:key).join(', ')
    end
  end
end
