# frozen_string_literal: true

RSpec.describe Wattomneum::Practice::Truth do
  let(:sheet) { Wattomneum::Circuits::Library.fetch('fuel_pump') }

  def truth(*faults, seed: 3) = described_class.new(sheet: sheet, faults: faults, seed: seed)

  it 'knows neither limits nor how faults are looked for' do
    folder = File.expand_path('../../../lib/wattomneum/practice', __dir__)
    expect(Dir[File.join(folder, '{truth,fault}.rb')].flat_map { |file| File.readlines(file).grep(/Limits|Faults|Evidence/) }).to be_empty
  end

  it 'reads volts, ohms, lamps and what is seen, as the fault lets them be' do
    open = truth(Wattomneum::Practice::Fault.open('wire 10'))
    expect(open.read('volts', 'K11:87', 'BAT:-', state: 'key_on').value).to be_within(0.4).of(25.3)
    expect(open.read('volts', 'X8:a/1', 'BAT:-', state: 'key_on').value.abs).to be < 0.05
    expect(open.read('lamp', 'X8:a/1', 'BAT:-', state: 'key_on').observation).to eq('dark')
    expect(open.read('ohms', 'K11:87', 'X8:a/1', state: 'off').overload).to be(true)
    expect(open.read('seen', 'M2:1', 'M2:2', state: 'key_on').observation).to eq('dead')
  end

  it 'is right again where it was mended, and nowhere else' do
    two = truth(Wattomneum::Practice::Fault.open('wire 10'), Wattomneum::Practice::Fault.open('G8 wire 8'))
    two.mend(['wire 10'])
    expect([two.faults.map(&:item), two.works?('M2', 'key_on')]).to eq([['G8 wire 8'], false])
    two.mend(['G8 wire 8'])
    expect(two.works?('M2', 'key_on')).to be(true)
  end

  it 'gives the same for the same seed, and another unit for another' do
    volts = ->(seed) { truth(seed: seed).read('volts', 'M2:1', 'M2:2', state: 'key_on').value }
    first = volts.call(5)
    expect(volts.call(5)).to eq(first)
    expect((1..6).map(&volts).uniq.size).to be > 3
  end
end
