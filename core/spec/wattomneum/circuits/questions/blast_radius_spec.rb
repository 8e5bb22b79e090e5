# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::BlastRadius do
  subject(:blast) { described_class.new(machine) }

  let(:machine) { settled(Wattomneum::Circuits::Library.fetch('ecu_power')) }
  let(:circuit) { machine.circuit }

  # What shows it when this opens: falls dead, or a signal that moves.
  def shown_by(key)
    effects = blast.of(circuit.item(key)).select { |effect| effect.change == :dead || (effect.change == :moved && effect.watch.signal?) }
    effects.map { |effect| effect.watch.key }.uniq
  end

  it 'takes everything down with the control-unit ground, and one valve with its own wire' do
    expect(shown_by('G6')).to include('A1', 'K10', 'Y51', 'Y1', 'A1:B/3')
    expect(shown_by('wire 48')).to eq(['Y1'])
  end

  it 'moves every sensor on a shared return when the splice opens, and leaves the pedal alone' do
    moved = shown_by('SP4')
    expect(moved).to include('A1:B/3', 'A1:B/6', 'A1:B/8').and(not_include('A1:A/41', 'Y1'))
  end

  # It skips what carries no current and takes earlier states over: the same as solving it all again.
  it 'agrees with solving the machine anew with the item open, for half of the items of every large sheet, in the long part all', :seeds do
    %w[ecu_power charge_12v genset].each do |key|
      sound = settled(Wattomneum::Circuits::Library.fetch(key))
      before = Wattomneum::Circuits::Questions::Workings.new(sound)
      radius = described_class.new(sound)
      Extent.sample(sound.circuit.items, one_in: 2).each do |item|
        anew = Wattomneum::Circuits::Questions::Workings.new(settled(sound.circuit.sheet, opened: item.branches))
        changes = sound.circuit.sheet.states.keys.flat_map do |state|
          sound.circuit.watches.filter_map { |watch| anew.change(watch, state, before)&.then { |change| [watch.key, state, change] } }
        end
        expect(radius.of(item).map { |effect| [effect.watch.key, effect.key_state, effect.change] }).to match_array(changes), "#{key} #{item.key}"
      end
    end
  end
end
