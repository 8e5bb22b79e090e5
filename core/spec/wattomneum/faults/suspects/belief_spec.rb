# frozen_string_literal: true

# Belief and the worth of a reading, held against brute force on cases small enough for it.
RSpec.describe Wattomneum::Faults::Suspects::Belief do
  suspects = Wattomneum::Faults::Suspects
  hypothesis = suspects::Hypothesis

  def unit(key) = Wattomneum::Circuits::RepairUnit.new(key: key, label: key, kind: 'wire')

  # Predictions made up: scaled volts by probe.
  def made_up(hypotheses, table, offs: 0.05, bands: 0.0)
    reads = table.transform_values do |means|
      Wattomneum::Faults::Suspects::Predictions::Read.new(means: means, offs: [offs] * means.size, bands: [bands] * means.size)
    end
    Struct.new(:hypotheses, :reads) do
      def between(from, to) = reads.fetch([from, to])
      def of(_indices, from, to) = between(from, to)

      def each(indices, from, to)
        read = between(from, to)
        indices.each { |index| yield index, read.means[index], read.offs[index], read.bands[index] }
      end

      def units = hypotheses.map(&:unit).uniq
      def unit_places = hypotheses.map { |one| units.index(one.unit) }
    end.new(hypotheses, reads)
  end

  let(:hypotheses) do
    [%w[a 1.0], %w[a 1.0], %w[b 2.0], %w[c 4.0]].map do |key, weight|
      hypothesis.new(unit: units.fetch(key), kind: 'open', opened: [], ohms: {}, extra: [], weight: weight.to_f)
    end
  end
  let(:units) { %w[a b c].to_h { |key| [key, unit(key)] } }

  # Bayes by hand: prior x ((1 - e) N + e / 14), over their sum.
  it 'agrees with Bayes by hand after three readings' do
    table = { %w[p n] => [5.0, 5.1, 2.0, 0.0], %w[q n] => [5.0, 1.0, 1.1, 0.0], %w[r n] => [0.0, 0.4, 0.0, 3.0] }
    volts = [0.5, 0.03, 0.001]
    belief = described_class.new(made_up(hypotheses, table))
    table.keys.zip(volts).each { |(from, to), volt| belief.shown(from, to, volt) }
    by_hand = hypotheses.each_index.map do |index|
      table.values.zip(volts).reduce(hypotheses[index].weight) do |share, (means, volt)|
        spread = Math.hypot(0.05, belief.meter_off(volt))
        off = Math.asinh(volt / 0.02) - means[index]
        share * ((0.98 * Math.exp(-0.5 * ((off / spread)**2)) / (spread * Math.sqrt(2 * Math::PI))) + (0.02 / 14))
      end
    end
    belief.probabilities.zip(by_hand.map { |share| share / by_hand.sum }).each { |got, wanted| expect(got).to be_within(1e-9).of(wanted) }
    expect(belief.by_unit.values.sum).to be_within(1e-9).of(1)
  end

  # 0.0 V is anything within 50 mV: of a joint that holds back 10 mV and one that holds back nothing it tells nothing.
  it 'lets a zero of one decimal say no more than it can, and one of three decimals say it' do
    table = { %w[p n] => [10.0, 10.0, 30.0, 0.0].map { |millivolt| Math.asinh(millivolt / 20.0) } }
    share = lambda do |half_digit|
      described_class.new(made_up(hypotheses, table)).shown('p', 'n', 0.0, half_digit: half_digit).by_unit.transform_keys(&:key)
    end
    before = described_class.new(made_up(hypotheses, table)).by_unit.transform_keys(&:key)
    coarse = share[0.05]
    expect(%w[a b c].map { |key| coarse[key] / before[key] }).to all(be_between(0.5, 2.0))
    expect(share[0.0005]['c']).to be > 0.99
  end

  it 'lets one mistaken reading overturn nothing that three others say' do
    table = %w[p q r s].to_h { |from| [[from, 'n'], [4.0, 4.0, 0.0, 2.0]] }
    belief = described_class.new(made_up(hypotheses, table))
    %w[p q r].each { |from| belief.shown(from, 'n', 0.0) }
    belief.shown('s', 'n', 0.55)
    expect(belief.by_unit.first.first.key).to eq('b')
  end

  # A severity between two grades is off every one of its readings the same way.
  it 'learns where between its grades a severity lies, so that ten readings of it speak for it as one does' do
    table = { %w[p n] => [3.0, 3.0, 3.4, 9.0] }
    graded = described_class.new(made_up(hypotheses, table, offs: 0.02, bands: 0.5))
    volt = Math.sinh(3.2) * 0.02
    10.times { graded.shown('p', 'n', volt) }
    read = graded.instance_variable_get(:@predictions).between('p', 'n')
    expect(graded.expected(read, 0)).to be_within(0.02).of(3.2)
    expect(graded.spread(read, 0)).to be < 0.05
    expect(graded.by_unit.values.max).to be < 0.8
  end

  describe suspects::NextReading do
    def worth(predictions, belief, from, unit: nil)
      taken = Wattomneum::Faults::Suspects::Candidate.new(from: from, to: 'n', unit: unit, minutes: 3.0)
      described_class.new(belief, predictions, [taken], convicts: ->(volt) { volt.abs > 0.2 }).worth(taken)
    end

    # I(part; outcome) = H(part) - sum P(outcome) H(part | outcome), outcomes far apart: by hand.
    it 'counts the bits that an outcome tells about the part, and none about its severity' do
      table = { %w[p n] => [6.0, 6.0, 0.0, 0.0], %w[q n] => [6.0, 0.0, 0.0, 0.0], %w[r n] => [1.0, 1.0, 1.0, 1.0] }
      predictions = made_up(hypotheses, table)
      belief = Wattomneum::Faults::Suspects::Belief.new(predictions)
      bits = ->(*shares) { -shares.sum { |share| share * Math.log2(share) } }
      before = bits.call(0.25, 0.25, 0.5)
      expect(worth(predictions, belief, 'p')).to be_within(1e-9).of(before - (0.75 * bits.call(1 / 3r.to_f, 2 / 3r.to_f)))
      expect(worth(predictions, belief, 'q')).to be_within(1e-9).of(before - (0.875 * bits.call(1 / 7r.to_f, 2 / 7r.to_f, 4 / 7r.to_f)))
      expect(worth(predictions, belief, 'r')).to eq(0.0)
    end
  end
end
