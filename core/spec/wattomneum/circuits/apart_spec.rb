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

  it 'says it in words, and refuses what is not there' do
    expect(described_class.words([])).to be_nil
    expect(described_class.words(%w[K11 X8])).to eq('K11 and X8 unplugged')
    expect(described_class.words(['X8', 'wire 8'])).to eq('X8 unplugged, wire 8 off its stud')
    expect { machine.apart.fetch('wire 9') }.to raise_error(Wattomneum::UnknownKeyError, /no plug or component "wire 9"/)
  end
end
