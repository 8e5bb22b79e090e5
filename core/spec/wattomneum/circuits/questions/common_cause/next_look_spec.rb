# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::CommonCause::NextLook do
  common = Wattomneum::Circuits::Questions::CommonCause
  things = Struct.new(:watches)

  # Causes of which each makes some of three things dead.
  def cause(probability, *kills)
    Struct.new(:probability, :overall).new(probability, [0, 1, 2].map { |watch| kills.include?(watch) ? :dead : :works })
  end

  def best(things, causes) = described_class.new(things, causes, things.watches.each_index.to_a).best

  it 'picks the answer that splits the causes most evenly, and says where each answer leads' do
    circuit = things.new(%w[pump heater relay].map { |key| Wattomneum::Circuits::Watch.new(key: key, kind: 'load') })
    causes = [cause(0.5, 0), cause(0.3, 0, 1), cause(0.2, 2)]
    look = best(circuit, causes)
    expect([look.watch.key, look.leads_to]).to eq(['heater', { dead: causes[1], works: causes[0] }])
    # By hand, with what is said of dead and of working things: P(dead) = 0.3 x 0.85/0.90 + 0.7 x 0.05/0.93 = 0.3210, H = 0.9054;
    # H(0.85/0.90) = 0.3095, H(0.05/0.93) = 0.3022: 0.9054 - 0.3 x 0.3095 - 0.7 x 0.3022 = 0.601 bit.
    expect(look.gain_bit).to be_within(2e-3).of(0.601)
  end

  it 'asks nothing where no answer would tell the causes apart' do
    circuit = things.new(%w[pump heater].map { |key| Wattomneum::Circuits::Watch.new(key: key, kind: 'load') })
    expect(best(circuit, [cause(1.0, 0)])).to be_nil
    expect(best(things.new([]), [cause(0.5, 0), cause(0.5, 0)])).to be_nil
  end

  # What shows nothing but what many likelier faults show is not found by the likeliest alone; it is then among what stands first.
  it 'leads from one complaint to the hidden fault, in fewer looks than listing everything takes', :seeds do
    %w[ecu_power grounds_truck].each do |key|
      machine = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(key))
      items = machine.circuit.items.select { |item| %w[wire ground splice fuse].include?(item.kind) && item.branches.one? }
      ends = items.sample(Extent.of(10, 40), random: Random.new(5)).filter_map { |item| follow(common, machine, item) }
      expect(ends.count(&:last)).to be >= 0.9 * ends.size
      expect(ends.sum(&:first).fdiv(ends.size)).to be < 0.65 * machine.circuit.watches.size
    end
  end

  # Looks taken, answered by a simulated unit, and whether the fault is among what stands first then.
  def follow(common, machine, item)
    shown = SeenByAll.new(machine, Wattomneum::Practice::Fault.open(item.key), 3).all.transform_values { |word| word == :right ? :works : word }
    complaint = shown.find { |_, word| word != :works } or return
    told = [complaint].to_h
    while (look = explain(common, machine, told).next_look)
      told[look.watch.key] = shown.fetch(look.watch.key)
    end
    [told.size, explain(common, machine, told).first.flat_map(&:items).include?(item)]
  end

  def explain(common, machine, told)
    machine.causes.explain(common::Said.all(machine.circuit, told.keys.group_by { |key| told[key].to_s }))
  end
end
