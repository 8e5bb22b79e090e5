# frozen_string_literal: true

RSpec.describe Wattomneum::Deadline do
  # Each look at the clock is a second.
  def ticking
    seconds = 0
    -> { seconds += 1 }
  end

  let(:machine) { Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch('fuel_pump')) }

  it 'is looked at by every long computation, which gives up in order' do
    long = { settled: -> { machine.settled.all }, causes: -> { machine.causes.work_out },
             trace: -> { machine.trace.wire(machine.sheet.wires.first.number) },
             live: -> { machine.live_with(nil, key_state: 'key_on') },
             read: -> { Wattomneum::Circuits::Notation::SheetReader.read(Wattomneum::Circuits::Library::TEXTS['fuel_pump']) } }
    long.each_value do |work|
      expect { described_class.within(0.5, clock: ticking, &work) }.to raise_error(Wattomneum::OverBudgetError, /takes longer than 0.5 s/)
    end
  end

  it 'leaves what was worked out as it was: asked again without hurry, the machine answers' do
    expect { described_class.within(20, clock: ticking) { machine.causes.work_out } }.to raise_error(Wattomneum::OverBudgetError)
    said = Wattomneum::Circuits::Questions::CommonCause::Said.all(machine.circuit, 'dead' => %w[K11 M2 B12])
    expect(machine.causes.explain(said).causes).not_to be_empty
  end

  it 'holds inside its block only, and the outer one again after an inner one' do
    expect(described_class.within(1, clock: ticking) { 5 }).to eq(5)
    expect { described_class.check! }.not_to raise_error
    expect do
      described_class.within(3, clock: ticking) do
        described_class.within(1_000, clock: ticking) { described_class.check! }
        5.times { described_class.check! }
      end
    end.to raise_error(Wattomneum::OverBudgetError, /3 s/)
  end
end
