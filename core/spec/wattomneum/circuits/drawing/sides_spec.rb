# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drawing::Sides do
  def sides(sheet) = described_class.new(sheet, Wattomneum::Circuits::Drawing::Distances.new(sheet))
  def shipped(key) = Wattomneum::Circuits::Library.fetch(key)

  def told(key, id)
    sheet = shipped(key)
    part = sheet.part(id)
    part.pins.to_h { |pin| [pin, sides(sheet).of(part, pin)] }
  end

  # As electricians read it: supply above, ground below, read off each sheet by hand.
  it 'looks up to what feeds a part, and down to what it feeds' do
    expect(told('start_24v', 'S1')).to eq('1' => :top, '2' => :bottom)
    expect(told('start_24v', 'S2')).to eq('30' => :top, '15' => :bottom, '50' => :bottom)
    expect(told('start_24v', 'K1')).to include('30' => :top, '86' => :top, '85' => :bottom, '87' => :bottom)
    expect(told('start_24v', 'M1')).to eq('+' => :top, 'case' => :bottom)
    expect(told('charge_12v', 'G')).to include('B+' => :top, 'D+' => :top, 'case' => :bottom)
  end

  it 'gives only the upper battery of a row both posts down' do
    expect([told('start_24v', 'BAT_B'), told('start_24v', 'BAT_A')]).to eq([{ '+' => :bottom, '-' => :bottom }, { '+' => :top, '-' => :bottom }])
  end

  it 'puts what a control unit gives, reads back or grounds by below it, and what feeds it above' do
    unit = told('ecu_power', 'A1')
    expect(unit.slice('A/1', 'A/20', 'A/31').values.uniq).to eq([:top])
    expect(unit.slice('A/4', 'A/40', 'A/41', 'B/1').values.uniq).to eq([:bottom])
  end

  it 'hangs a sensor below the unit that reads it, but not one with a ground of its own' do
    engine = shipped('ecu_power')
    gauges = shipped('cluster')
    all = ->(sheet) { sheet.parts.grep(Wattomneum::Circuits::Parts::Sensor).map { |one| sides(sheet).satellite?(one) }.uniq }
    expect([all.call(engine), all.call(gauges)]).to match([include(true), eq([false])])
  end

  it 'says nothing else where parts are written in another order' do
    sheet = shipped('fuel_pump')
    fields = Wattomneum::Circuits::Sheet::FIELDS.to_h { |name| [name, sheet.public_send(name)] }
    other = Wattomneum::Circuits::Sheet.new(**fields, parts: sheet.parts.reverse, wires: sheet.wires.rotate(3))
    plain = sheet.parts.reject { |part| part.is_a?(Wattomneum::Circuits::Parts::Connector) || part.joint? }
    here, there = [sheet, other].map { |one| plain.flat_map { |part| part.pins.map { |pin| sides(one).of(part, pin) } } }
    expect(here).to eq(there)
  end
end
