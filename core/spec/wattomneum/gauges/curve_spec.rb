# frozen_string_literal: true

RSpec.describe Wattomneum::Gauges::Curve do
  def read(text) = described_class.read(text)

  it 'reads a table, a family, decimals with a comma' do
    expect(read('0 240; 50 103; 100 33').ohm(25.0)).to be_within(1e-9).of(171.5)
    # The same whether it goes by its name or is typed mark by mark.
    named, typed = ['240-33', '0 240; 50 103; 100 33'].map { |text| [25.0, 50.0, 75.0].map { |mark| read(text).ohm(mark) } }
    expect(named).to eq(typed)
    expect(read('10-180').ohm(50.0)).to eq(95.0)
    expect(read("0 10,5\n100 180").ohm(0.0)).to eq(10.5)
  end

  it 'goes both ways, and rests at its ends' do
    curve = read('0 240; 50 103; 100 33')
    expect(curve.mark(103.0)).to eq(50.0)
    expect([curve.mark(400.0), curve.mark(1.0)]).to eq([0.0, 100.0])
    expect(curve.ohm(101.0)).to be_nil
    expect(curve.rises?).to be(false)
  end

  # R = R25 exp(B (1/T - 1/298.15)), by hand for B 3950 K: 2500 ohm at 25 degC are 9096 at -1.5 degC (1/T 1/271.65) and 165 at 100 degC.
  it 'has a thermistor' do
    curve = described_class.thermistor(r25_ohm: 2500.0, b_kelvin: 3950.0, celsius: [-1.5, 25.0, 100.0])
    expect(curve.ohm(25.0)).to be_within(0.01).of(2500)
    expect(curve.ohm(-1.5)).to be_within(60).of(9096)
    expect(curve.ohm(100.0)).to be_within(4).of(174)
  end

  it 'refuses what turns back, stands twice, is one point, below nothing, or no figure' do
    { '0 240; 50 103; 100 120' => /turns back at 50: 103 to 120 ohm/, '0 10; 0 20' => /0 stands in it twice/, '0 10' => /2 to 30 points, got 1/,
      '0 -5; 100 3' => /below 0 ohm/, '0 ten; 100 3' => /"0 ten" is not a mark/, '0 10; 50 10; 100 33' => /turns back/,
      '' => /got 0/ }.each do |text, message|
      expect { read(text) }.to raise_error(Wattomneum::InvalidQuantityError, message)
    end
    expect { described_class.family('1-2') }.to raise_error(Wattomneum::UnknownKeyError)
  end

  describe Wattomneum::Gauges::Mismatch do
    def mismatch(sender, gauge) = described_class.new(Wattomneum::Gauges::Curve.read(sender), Wattomneum::Gauges::Curve.read(gauge))

    it 'is true with the sender that belongs to it' do
      expect(mismatch('240-33', '240-33').worst.error.abs).to be < 1e-9
    end

    # By hand: a 10 to 180 sender at half is 95 ohm; on a 240 to 33 gauge with 103 in its middle that is
    # 50 + 50 (103 - 95) / 70 = 55.71.
    it 'says what the needle shows at each mark' do
      half = mismatch('10-180', '240-33').marks[4]
      expect([half.true_mark, half.ohm]).to eq([50.0, 95.0])
      expect(half.shown).to be_within(0.01).of(55.71)
      expect(mismatch('10-180', '240-33').worst.true_mark).to(satisfy { |mark| [0.0, 100.0].include?(mark) })
    end

    it 'finds no resistor for a gauge that goes the other way, and one where the sender is short of ohms' do
      expect(mismatch('10-180', '240-33').resistor).to be_nil
      expect(mismatch('0 190; 100 0', '0 240; 100 50').resistor).to have_attributes(kind: 'series', ohm: be_within(3).of(50))
    end

    it 'wants a part of the scale in common' do
      expect { mismatch('0 10; 50 20', '60 10; 100 20') }.to raise_error(Wattomneum::InvalidQuantityError, /in common/)
    end
  end

  describe Wattomneum::Gauges::BenchCheck do
    let(:curve) { Wattomneum::Gauges::Curve.family('240-33') }

    def words(*shown) = described_class.new(curve, shown).words

    it 'tells the gauge from what is before and behind it' do
      expect(words([240.0, 0.0], [33.0, 98.0])).to include('The gauge is right')
      expect(words([240.0, 12.0], [103.0, 80.0])).to include('supply or its ground')
      expect(words([200.0, 40.0], [60.0, 50.0])).to include('does not follow its curve')
      expect { words }.to raise_error(Wattomneum::InvalidQuantityError)
    end
  end

  describe Wattomneum::Gauges::NeedlePattern do
    def read(**needles) = described_class.read(needles.transform_keys(&:to_s))

    # Handbook: all needles high together is the stabiliser or its ground, all dead the feed.
    it 'points to what all share where all move together, and to each one alone where not' do
      expect(read(oil: 'high', fuel: 'high').points_to).to include('stabiliser or its ground')
      expect(read(oil: 'dead', fuel: 'dead').points_to).to include('feed they share')
      expect(read(oil: 'high', fuel: 'right').points_to).to include('oil high: its own sender')
      expect(read(oil: 'dead').points_to).to include('its own sender')
      expect { read(oil: 'right') }.to raise_error(Wattomneum::InvalidQuantityError, /which needle/)
      expect { read(oil: 'odd') }.to raise_error(Wattomneum::InvalidQuantityError, /right, high, low, dead/)
    end
  end
end
