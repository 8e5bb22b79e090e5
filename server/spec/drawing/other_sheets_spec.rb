# frozen_string_literal: true

# Sheets that do not ship: what is drawn otherwise, told by what it looks like.
RSpec.describe Server::Layouter do
  def draw(parts, wires, extra: '')
    sheet = sheet_of(parts, wires, system_volt: 24, extra: extra)
    [sheet, Drawn::LAYOUTER.draw(Wattomneum::Circuits::Drawing::Brief.new(sheet).to_h)['pictures']]
  end

  # Four zones of 25 lamps: 300 wires and more.
  def large
    parts = ['{ id: BAT, kind: battery, volt: 25 }', '{ id: FRAME, kind: body }']
    wires = ['{ number: minus, from: BAT:-, to: FRAME }']
    4.times do |zone|
      parts << "{ id: ST#{zone}, kind: stud, zone: z#{zone} }"
      wires << "{ number: feed#{zone}, from: #{zone.zero? ? 'BAT:+' : "ST#{zone - 1}"}, to: ST#{zone}, colour: red }"
      25.times do |lamp|
        id = "#{zone}_#{lamp}"
        parts.push("{ id: F#{id}, kind: fuse, rating_ampere: 5, zone: z#{zone} }", "{ id: H#{id}, kind: load, watt: 5, zone: z#{zone} }")
        wires.push("{ number: a#{id}, from: ST#{zone}, to: F#{id}:1 }", "{ number: b#{id}, from: F#{id}:2, to: H#{id}:1, colour: red/white }",
                   "{ number: c#{id}, from: H#{id}:2, to: FRAME }")
      end
    end
    draw(parts, wires, extra: "zones: { #{Array.new(4) { |zone| "z#{zone}: { label: Zone #{zone} }" }.join(', ')} }")
  end

  it 'draws a sheet of more than 200 wires zone by zone, every wire in one picture or in two, with a flag at either end', :long do
    sheet, pictures = large
    expect(pictures.map { |one| one['label'] }).to eq(['In no zone', *Array.new(4) { |zone| "Zone #{zone}" }])
    seen = pictures.flat_map { |one| one['wires'].filter_map { |wire| wire['wire'] } }.tally
    expect([seen.keys.sort, seen.values.max]).to eq([sheet.wires.map(&:uuid).sort, 2])
    twice = sheet.wires.select { |wire| seen.fetch(wire.uuid) == 2 }
    flags = pictures.flat_map { |one| one['parts'].select { |part| part['kind'] == 'link' }.map { |part| part['at'] } }
    expect(flags.tally.values.sum).to eq(2 * twice.size)
    expect(twice.map(&:number)).to include('feed1', 'feed2', 'feed3')
  end

  it 'draws a data line that goes in a ring, or has too little of a line in it, as any circuit' do
    pairs = lambda do |ends|
      ends.each_with_index.flat_map do |(from, to), index|
        [%w[H L], %w[L H]].map do |here, there|
          "{ number: #{here}#{index}, from: #{from}:#{here}, to: #{to}:#{here}, twisted_with: #{there}#{index} }"
        end
      end
    end
    modules = %w[R1 U1 U2 R2].map { |id| "{ id: #{id}, kind: resistor, ohm: #{id.start_with?('R') ? 120 : 40_000}, pins: [H, L] }" }
    battery = '{ id: BAT, kind: battery, volt: 24 }'
    level = ->(pictures) { pictures.first['wires'].select { |wire| wire['wire'] }.all? { |wire| wire['points'].map(&:last).uniq.one? } }
    line = draw([battery, *modules], pairs.call([%w[R1 U1], %w[U1 U2], %w[U2 R2]])).last
    ring = draw([battery, *modules], pairs.call([%w[R1 U1], %w[U1 U2], %w[U2 R2], %w[R2 R1]])).last
    expect([level.call(line), level.call(ring)]).to eq([true, false])
    expect(ring.first['wires'].size).to eq(8)
  end

  it 'stands a plug\'s ways that run the same way in one bar, and one that comes back in another' do
    parts = ['{ id: BAT, kind: battery, volt: 24 }', '{ id: X1, kind: connector, ways: 3 }', '{ id: H1, kind: load, watt: 5 }',
             '{ id: H2, kind: load, watt: 5 }']
    wires = ['{ number: 1, from: BAT:+, to: X1:a/1 }', '{ number: 2, from: X1:b/1, to: H1:1 }', '{ number: 3, from: BAT:+, to: X1:a/2 }',
             '{ number: 4, from: X1:b/2, to: H2:1 }', '{ number: 5, from: H1:2, to: X1:b/3 }', '{ number: 6, from: X1:a/3, to: BAT:- }',
             '{ number: 7, from: H2:2, to: BAT:- }']
    bars = draw(parts, wires).last.first['parts'].select { |part| part['part'] == 'X1' }
    ways = bars.map { |bar| [bar['words'].first['text'], bar['pins'].map { |pin| pin['name'] }.sort] }
    expect(ways).to contain_exactly(['a', %w[a/1 a/2 b/1 b/2]], ['b', %w[a/3 b/3]])
  end

  it 'draws nothing where there is nothing, and does not choke on words of any length or kind' do
    _, bare = draw(['{ id: BAT, kind: battery, volt: 24 }'], [])
    expect([bare.size, bare.first['parts'], bare.first['cuts']['a4']['pages'].size]).to eq([1, [], 1])
    name = "#{'Überlänge ' * 30}<&\"> Ω"
    _, odd = draw(["{ id: BAT, kind: battery, volt: 24, label: #{JSON.generate(name)} }", '{ id: H1, kind: load, watt: 5 }'],
                  ['{ number: "a very long number of a wire", from: BAT:+, to: H1:1, colour: nobody/knows }', '{ number: 2, from: H1:2, to: BAT:- }'])
    words = odd.first['parts'].find { |part| part['part'] == 'BAT' }['label']['lines'].drop(1)
    expect(words.join(' ')).to eq(name)
  end
end
