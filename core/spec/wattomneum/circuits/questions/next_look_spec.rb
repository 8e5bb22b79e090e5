# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::NextLook do
  def cause(probability, *kills)
    Wattomneum::Circuits::Questions::Explanation::Cause.new(probability: probability, dies: kills)
  end

  def watch(key) = Wattomneum::Circuits::Watch.new(key: key)

  it 'picks the answer that splits the causes most evenly, and says where each answer leads' do
    causes = [cause(0.5, 'pump'), cause(0.3, 'pump', 'heater'), cause(0.2, 'relay')]
    look = described_class.new(causes, %w[pump heater relay].map { |key| watch(key) }).best
    expect(look.watch.key).to eq('heater')
    expect([look.if_dead, look.if_works]).to eq([causes[1], causes[0]])
    # By hand: P(dead) = 0.3 x 0.93 + 0.7 x 0.07 = 0.328; H(0.328) - H(0.07) = 0.9129 - 0.3659 bit.
    expect(look.gain_bit).to be_within(1e-3).of(0.547)
  end

  it 'asks nothing where no answer would tell the causes apart' do
    expect(described_class.new([cause(1.0, 'pump')], [watch('pump'), watch('heater')]).best).to be_nil
    expect(described_class.new([cause(0.5, 'pump'), cause(0.5, 'pump')], []).best).to be_nil
  end

  # A control unit that died inside is too rare to be found by one dead word; all else is.
  it 'leads from one complaint to the group that holds the fault, in fewer looks than listing everything takes' do
    %w[ecu_power grounds_truck].each do |key|
      causes = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(key)).causes
      looks = causes.groups.map { |dies, items| follow(causes, dies, items) }
      expect(looks.count(&:last)).to be >= 0.95 * looks.size
      expect(looks.sum(&:first).fdiv(looks.size)).to be < 0.65 * causes.groups.keys.flatten.uniq.size
    end
  end

  # Looks taken with true answers, and whether the first cause then is the one.
  def follow(causes, dies, items)
    dead = [dies.first]
    working = []
    while (look = causes.explain(dead: dead, working: working).next_look)
      (dies.include?(look.watch.key) ? dead : working) << look.watch.key
    end
    [dead.size + working.size, causes.explain(dead: dead, working: working).causes.first.items.map(&:key).sort == items.map(&:key).sort]
  end
end
