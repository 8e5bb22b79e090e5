# frozen_string_literal: true

require 'yaml'

RSpec.describe Wattomneum::Circuits::Assembly do
  def library(*keys) = keys.map { |key| Wattomneum::Circuits::Library.fetch(key) }
  def whole(*keys) = described_class.new(library(*keys)).sheet

  let(:bus) { %w[start_12v charge_12v grounds_bus glow cluster] }
  let(:truck) { %w[start_24v ecu_power fuel_pump grounds_truck heater bus_backbone] }

  # Reference: ngspice operating points, see SheetNetlist.
  it 'agrees with ngspice in every state, for a bus of five sheets and a truck of six' do
    [bus, truck].each do |keys|
      machine = settled(whole(*keys))
      machine.all.each { |state, result| expect_agreement_with_ngspice(machine.circuit, result, "#{keys.first} #{state}") }
    end
  end

  it 'has one bank, one isolator, one frame and one cable between them, however often they are drawn' do
    sheet = whole(*bus)
    counts = %w[battery isolator].to_h { |kind| [kind, sheet.parts.count { |part| part.kind == kind }] }
    expect(counts).to eq('battery' => 2, 'isolator' => 1)
    expect(sheet.parts.count { |part| part.label == 'Frame' }).to eq(1)
    ends = [sheet.places['positive_post'], sheet.places['isolator_in']].sort
    expect(sheet.wires.count { |wire| [wire.from, wire.to].sort == ends }).to eq(1)
    expect(whole(*truck).parts.count { |part| part.kind == 'battery' }).to eq(2)
  end

  # The same start circuit drawn a second time, its batteries one by one: two batteries stay two, in a row or side by side, and a bank of
  # three is one of three.
  it 'has no battery twice where two sheets draw them one by one' do
    third = lambda do |drawn|
      drawn['components'] << { 'id' => 'BAT_C', 'kind' => 'battery' }
      { '2c' => '+', '3c' => '-' }.each do |number, post|
        drawn['wires'] << { 'number' => number, 'from' => "BAT_C:#{post}", 'to' => "BAT_B:#{post}", 'ohm' => 0.0001 }
      end
    end
    [['start_12v', nil, 2], ['start_12v', third, 3], ['start_24v', nil, 2]].each do |key, more, count|
      drawn = library(key).first
      twice = again(key, &more)
      sheet = described_class.new([drawn, twice]).sheet
      expect(sheet.parts.count { |part| part.kind == 'battery' }).to eq(count)
      expect(posts_volt(sheet)).to be_within(0.00001).of(posts_volt(count == 3 ? twice : drawn))
    end
  end

  # Another sheet of the same words, with items of its own.
  def again(key)
    drawn = YAML.safe_load(Wattomneum::Circuits::Notation::SheetWriter.write(library(key).first)).merge('sheet' => 'again')
    drawn.values_at('components', 'wires').flatten.each { |row| row.delete('uuid') }
    yield drawn if block_given?
    read = Wattomneum::Circuits::Notation::SheetReader.read(YAML.dump(drawn))
    read.sheet || raise(read.problems.join(', '))
  end

  # Volts that ngspice finds at the posts behind batteries and links alone, with a starter's 20 mohm across them.
  def posts_volt(sheet)
    batteries = sheet.parts.select { |part| part.kind == 'battery' }
    names = batteries.flat_map { |part| [part.node('+'), part.node('-')] }.each_with_index.to_h { |node, index| [node, "n#{index}"] }
    sources = batteries.flat_map.with_index do |part, index|
      plus, minus = names.values_at(part.node('+'), part.node('-'))
      ["V#{index} m#{index} #{minus} #{part.fields.fetch('volt', 12.65)}", "RB#{index} m#{index} #{plus} #{part.fields.fetch('ohm', 0.006)}"]
    end
    links = sheet.wires.select { |wire| names.key?(wire.from) && names.key?(wire.to) }
    cables = links.map.with_index { |wire, index| "RL#{index} #{names[wire.from]} #{names[wire.to]} #{wire.resistance_ohm}" }
    plus, minus = sheet.places.values_at('positive_post', 'negative_post').map { |node| names.fetch(node) }
    ngspice([*sources, *cables, "RS #{plus} #{minus} 0.02", "RG #{minus} 0 0.001"], ["v(#{plus})"]).values.first
  end

  # G2 is the battery's ground on one sheet and a saloon ground on another.
  it 'never joins by equal ids' do
    sheet = whole(*bus)
    expect(sheet.part('G2').label).to eq('Frame ground at the battery box')
    expect(sheet.part('G2@grounds_bus').label).to eq('Saloon ground above the wheel arch')
    expect(sheet.part('G0@grounds_bus')).to be_nil
  end

  # What each sheet says by itself holds on the whole: its loads work when they should, and in no other state.
  it 'makes every load work as its own sheet says' do
    [bus, truck, %w[start_24v charge_external_24v grounds_truck main_feed]].each do |keys|
      sheet = whole(*keys)
      machine = settled(sheet)
      workings = Wattomneum::Circuits::Questions::Workings.new(machine)
      sheet.parts.grep(Wattomneum::Circuits::Parts::Load).select(&:works_in).each do |load|
        working = sheet.states.keys.select { |state| workings.works?(load.watches.first, state) }
        expect([load.id, working]).to eq([load.id, sheet.states.keys & load.works_in])
      end
      expect(machine.all.values.flat_map(&:chattering) + machine.all.values.flat_map { |result| result.blown.keys }).to be_empty
    end
  end

  it 'cranks as its start sheet does, but for what else hangs on the bank' do
    alone, together = [settled(library('start_12v').first), settled(whole(*bus))].map { |one| volts_at(one, 'BAT_A:+', 'cranking') }
    expect(together).to be_within(0.15).of(alone)
    expect(together).to be < alone
  end

  it 'goes through a state that only one sheet knows as the key state that follows it' do
    sheet = whole(*bus)
    expect(sheet.states.keys).to eq(%w[off isolator_on preglow key_on cranking running])
    expect(sheet.part('S1').fields['closed_in']).to include('preglow')
    machine = settled(sheet)
    expect(volts_at(machine, 'E1:1', 'preglow')).to be > 10
    expect(volts_at(machine, 'E1:1', 'key_on')).to be < 1
  end

  it 'lists what two sheets draw otherwise, with what each of them says, and is silent about what they agree on' do
    expect([bus, truck].flat_map { |keys| described_class.new(library(*keys)).differences }).to eq([])
    start, charge = library('start_12v', 'charge_12v')
    other = charge.with_overrides(charge.part('S1').uuid => { 'ohm' => 0.01 }, charge.wire('strap').uuid => { 'section_mm2' => 16.0 })
    told = described_class.new([start, other]).differences
    strap = [be_within(1e-6).of(9.1e-5), be_within(1e-6).of(4.06e-4)] # 0.35 m of 70 and of 16 mm2
    expect(told.map { |one| [one.what, one.said, one.sheets] })
      .to match([['S1', { 'ohm' => [0.00012, 0.01] }, ['charge_12v']], ['wire strap', { 'ohm' => strap }, ['charge_12v']]])
  end

  it 'reads the same again after it was written' do
    text = Wattomneum::Circuits::Notation::SheetWriter.write(whole(*truck))
    again = Wattomneum::Circuits::Notation::SheetReader.read(text)
    expect(again.problems).to be_empty
    expect(Wattomneum::Circuits::Notation::SheetWriter.write(again.sheet)).to eq(text)
  end

  it 'leaves out a sheet of another voltage, and refuses a unit without any' do
    assembly = described_class.new(library('start_24v', 'glow'))
    expect([assembly.left_out.map(&:key), assembly.sheet.system_volt]).to eq([['glow'], 24])
    expect { described_class.new([]) }.to raise_error(Wattomneum::RefusedError, /no sheet is fitted/)
  end

  it 'refuses a sheet whose places have the battery the wrong way round, and reports one that would short it' do
    heater = library('heater').first
    placed = ->(**places) { Wattomneum::Circuits::Sheet.new(**heater.class::FIELDS.to_h { |name| [name, heater.public_send(name)] }, places: places.transform_keys(&:to_s)) }
    turned = placed.call(positive_post: 'BAT:-', negative_post: 'BAT:+')
    expect { described_class.new([library('start_24v').first, turned]) }.to raise_error(Wattomneum::RefusedError, /wrong way round/)
    shorted = described_class.new([library('start_24v').first, placed.call(positive_post: 'FRAME:metal', negative_post: 'BAT:-')]).sheet
    expect(Wattomneum::Circuits::Machine.new(shorted).shorts.map(&:to_s)).to include(include('no fuse is in the way'))
  end

  # One bad face on the shared frame ground is seen by every sheet.
  it 'lets one fault be felt everywhere: an open battery ground kills what hangs on four sheets' do
    machine = Wattomneum::Circuits::Machine.new(whole(*bus))
    dead = machine.blast.of(machine.circuit.item('G2')).select { |effect| effect.change == :dead }.map { |effect| effect.watch.key }
    expect(dead).to include('M1', 'E1', 'P1', 'G')
  end
end
