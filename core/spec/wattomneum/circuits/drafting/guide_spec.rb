# frozen_string_literal: true

# What the guide writes from nothing is a sheet that works: thirty pins, none of them shipped.
RSpec.describe Wattomneum::Circuits::Drafting::Draft do
  include GuideSheet

  let(:sheet) { guide_draft.sheet }

  it 'reads the sheet of the guide without an objection' do
    expect(guide_draft.objections).to be_empty
    expect(sheet.wires.flat_map { |wire| [wire.from, wire.to] }.uniq.size).to be >= 30
  end

  # By hand: 12.6 V over 5 milliohm of battery and 22 of starter, some 2 of cables and contacts, is 430 A and 9.4 V at the starter.
  it 'cranks as the guide says, and not with the neutral switch open' do
    machine = Wattomneum::Circuits::Machine.new(sheet)
    cranking = machine.settled.fetch('cranking').solution
    volt = cranking.volt(machine.circuit.node('M1:+')) - cranking.volt(machine.circuit.node('M1:case'))
    expect(volt).to be_within(0.3).of(9.4)
    opened = machine.settled.opening(machine.circuit.item('S2')).fetch('cranking').solution
    expect(opened.volt(machine.circuit.node('M1:+')) - opened.volt(machine.circuit.node('M1:case'))).to be_within(0.01).of(0)
  end

  it 'has a face for its plug, seen from the side that is said' do
    expect(sheet.part('X1').face.rows(half: 'b', view: 'wire')).to eq([%w[2 1], %w[4 3]])
  end
end
