# frozen_string_literal: true

RSpec.describe Wattomneum::Effort do
  before { %w[fuel_pump engine_stop].each { |key| Wattomneum::Circuits::Library.fetch(key) } } # read, which is no part of what is counted

  def machine = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch('fuel_pump'))

  def long
    { settled: -> { machine.settled.all }, causes: -> { machine.causes.work_out },
      trace: -> { machine.trace.wire(machine.sheet.wires.first.number) }, live: -> { machine.live_with(nil, key_state: 'key_on') },
      stops: -> { Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch('engine_stop')).stop_tables.each_value(&:rows) },
      complaints: -> { Wattomneum::Circuits::Complaints.new(machine).all },
      read: -> { Wattomneum::Circuits::Notation::SheetReader.read(Wattomneum::Circuits::Library::TEXTS['fuel_pump']) } }
  end

  it 'is counted by every long computation, which gives up in order and says what to do' do
    long.each_value do |work|
      expect { described_class.within(5, &work) }.to raise_error(Wattomneum::OverBudgetError, /more than is worked out at once\. Ask about/)
    end
  end

  it 'is the same however long the machine takes for it' do
    quiet = long.transform_values { |work| described_class.of(&work) }
    # A clock on which an hour passes at every look.
    hours = 0
    allow(Process).to receive(:clock_gettime) { hours += 3_600 }
    allow(Time).to receive(:now) { Time.at(hours += 3_600) }
    busy = long.transform_values { |work| described_class.of(&work) }
    expect(busy).to eq(quiet)
    expect(quiet.values).to all(be > 5)
  end

  it 'leaves what was worked out as it was: asked again with more, the machine answers, and takes that much less' do
    one = machine
    whole = described_class.of { machine.causes.work_out }
    expect { described_class.within(whole / 2) { one.causes.work_out } }.to raise_error(Wattomneum::OverBudgetError)
    expect(described_class.of { one.causes.work_out }).to be_within(whole / 4).of(whole / 2)
    said = Wattomneum::Circuits::Questions::CommonCause::Said.all(one.circuit, 'dead' => %w[K11 M2 B12])
    expect(one.causes.explain(said).causes).not_to be_empty
  end

  it 'holds inside its block only, and the outer one again after an inner one' do
    expect(described_class.within(1) { 5 }).to eq(5)
    expect { described_class.spend!(1_000) }.not_to raise_error
    expect do
      described_class.within(3, advice: 'Cut it') do
        described_class.within(1_000) { described_class.spend!(900) }
        2.times { described_class.spend!(2) }
      end
    end.to raise_error(Wattomneum::OverBudgetError, /Cut it/)
  end

  it 'takes one step for one, and allows as many as it says' do
    expect { described_class.within(3) { 3.times { described_class.spend! } } }.not_to raise_error
    expect { described_class.within(3) { 4.times { described_class.spend! } } }.to raise_error(Wattomneum::OverBudgetError)
  end
end
