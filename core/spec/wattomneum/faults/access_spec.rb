# frozen_string_literal: true

# Minutes added up by hand from core/data/access.yml (common practice).
RSpec.describe Wattomneum::Faults::Access do
  let(:sheet) { Wattomneum::Circuits::Library.fetch('fuel_pump') }

  def probe(from, to, by: 'volts', situation: 'key_on')
    Wattomneum::Readings::Probe.new(by: by, from: from, to: to, situation: situation)
  end

  def minutes(asked, *taken) = described_class.new(sheet, taken).minutes(asked)

  it 'counts the reading, the walk to each new place, and what has to be laid bare there' do
    # 1 at the probe, 2 to the tank and 2 to the battery box, 2 for the pump's plug.
    expect(minutes(probe('M2:1', 'BAT:-'))).to eq(7.0)
  end

  it 'counts nothing again for a lead that stays clipped and for what is open already' do
    across = probe('M2:1', 'BAT:-')
    expect(minutes(probe('M2:2', 'BAT:-'), across)).to eq(1.0)
    # Away at the fuse box meanwhile: the walk back, the plug no more.
    expect(minutes(probe('M2:2', 'BAT:-'), across, probe('F15:1', 'BAT:-'))).to eq(3.0)
    expect(minutes(probe('F15:1', 'BAT:-'), across)).to eq(4.0)
  end

  it 'counts a splice under its tape, and each crank with the pause after it' do
    heater = Wattomneum::Circuits::Library.fetch('heater')
    taped = described_class.new(heater, []).minutes(probe('SP6:5', 'SP6:6'))
    expect(taped).to be >= 16.0
    start = Wattomneum::Circuits::Library.fetch('start_24v')
    standing, cranking = %w[key_on cranking].map { |state| described_class.new(start, []).minutes(probe('K1:85', 'K1:86', situation: state)) }
    expect(cranking - standing).to eq(3.0)
  end
end
