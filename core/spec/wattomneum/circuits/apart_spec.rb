# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Apart do
  let(:machine) { Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch('magneto_kill')) }

  it 'offers what is unplugged and the wires of a stud, and finds each again by what it is for ever' do
    things = machine.apart.all
    expect(things.map(&:id)).to include('S8', 'X12', 'wire 8').and not_include('wire 9', 'G11', 'BLOCK')
    expect(things.map { |thing| machine.apart.kept(thing.uuid).id }).to eq(things.map(&:id))
    expect(machine.apart.kept('gone')).to be_nil
  end

  it 'opens the ring of one wire and leaves the others on the stud' do
    shown = [[], ['wire 10'], ['wire 8'], ['S8'], ['wire 8', 'wire 10']].map do |opened|
      probe = Wattomneum::Readings::Probe.new(by: 'volts', from: 'ST2:joint', to: 'L9:core', situation: 'door_left', opened: opened)
      machine.sound_reading.call(probe).value.round(1)
    end
    # The left door grounds it: the right door's branch off does nothing, its own brings it back.
    expect(shown).to eq([0.0, 0.0, 8.9, 8.9, 8.9])
  end

  it 'takes one wire out of the pin or the splice that several meet in' do
    pump = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch('fuel_pump'))
    expect(pump.apart.all.map(&:id)).to include('end of wire 11 in X8:b/1', 'end of wire 12 in X8:b/1').and not_include('end of wire 11 in M2:1')
    shown = [[], ['end of wire 12 in X8:b/1'], ['end of wire 11 in X8:b/1']].map do |opened|
      pump.sound_reading.call(Wattomneum::Readings::Probe.new(by: 'volts', from: 'M2:1', to: 'M2:2', situation: 'key_on', opened: opened)).value
    end
    expect(shown).to match([be > 24, be > shown.first, be_within(0.01).of(0)])
    solenoid = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch('engine_stop'))
    cut = solenoid.apart.fetch('end of wire 9 in SP5')
    expect([cut.label, described_class.words([cut.id])]).to eq(['out of Lamp feed splice', 'wire 9 out of SP5'])
    expect([cut.id, 'end of wire 15 in F1:2', 'wire 3', 'K4', 'gone'].map { |id| described_class.kind(id, solenoid.sheet) })
      .to eq(['splice', 'pin', 'wire', 'relay', nil])
  end

  it 'says it in words, and refuses what is not there' do
    expect(described_class.words([])).to be_nil
    expect(described_class.words(%w[K11 X8])).to eq('K11 and X8 unplugged')
    expect(described_class.words(['X8', 'wire 8'])).to eq('X8 unplugged, wire 8 off its stud')
    expect { machine.apart.fetch('wire 9') }.to raise_error(Wattomneum::UnknownKeyError, /no plug or component "wire 9"/)
  end
end
