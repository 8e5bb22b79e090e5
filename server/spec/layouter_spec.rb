# frozen_string_literal: true

RSpec.describe Server::Layouter do
  let(:brief) { Wattomneum::Circuits::Drawing::Brief.new(Wattomneum::Circuits::Library.fetch('battery_ignition')).to_h }

  # A program that stands in for the one that draws.
  def stand_in(code, **rest) = described_class.new(command: ['ruby', '-e', "$stdout.sync = true; #{code}"], **rest)
  def answering = "puts '{\"drawing\":{\"pictures\":[]}}'"

  it 'keeps its program warm, and says in words why a sheet cannot be drawn' do
    layouter = described_class.new(seeds: 1)
    drawn = layouter.draw(brief)
    expect(drawn['pictures'].first['wires'].size).to eq(Wattomneum::Circuits::Library.fetch('battery_ignition').wires.size)
    expect { layouter.draw({ pieces: [{ nodes: [{ id: 'K1', ports: nil }] }] }) }.to raise_error(described_class::NoDrawingError)
    expect(layouter.draw(brief)).to eq(drawn)
  ensure
    layouter.stop
  end

  it 'takes one that is gone before the signal reaches it for ended' do
    allow(Process).to receive(:kill).and_raise(Errno::ESRCH)
    once = stand_in("gets; #{answering}")
    expect(Array.new(2) { once.draw(brief) }).to all(eq({ 'pictures' => [] }))
    expect { once.stop }.not_to raise_error
  end

  it 'starts it anew where it ended, and ends one that does not answer in time' do
    once = stand_in("gets; #{answering}")
    expect(Array.new(3) { once.draw(brief) }.uniq).to eq([{ 'pictures' => [] }])
    expect { stand_in('gets').draw(brief) }.to raise_error(described_class::NoDrawingError, /ended without an answer/)
    [stand_in('gets; sleep 60', silent_seconds: 0.5), stand_in('gets; loop { 1 }', processor_seconds: 0.5)].each do |never|
      expect { never.draw(brief) }.to raise_error(described_class::NoDrawingError, /was not ready after \d+\.\d s of work/)
    end
    expect { described_class.new(command: ['no-such-program']).draw(brief) }.to raise_error(described_class::NoDrawingError, /Node is missing/)
  end
end
