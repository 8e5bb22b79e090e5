# frozen_string_literal: true

RSpec.describe 'What is drawn and listed' do
  include FrontEndModules::Rules

  def stretch(unit, **about) = { unit: unit, convicted: false, across: nil, **about }

  def folded(stretches, suspects, read = [])
    ruled('return web.path.foldedRows(given[0], given[1], (one) => given[2].includes(one.unit)).map((row) => [row.stretches.length, row.folded])',
          stretches, suspects, read)
  end

  let(:sheet) do
    { parts: [{ id: 'A1', label: 'Control unit', kind: 'load', pins: [{ node: 'A1:B/87', wires: ['7'] }] },
              { id: 'K11', label: 'Pump relay', kind: 'relay', pins: [{ node: 'K11:86', wires: ['27'] }] }],
      wires: [{ number: '27', from: 'K11:86', to: 'X1:2', colour: 'red/white' }, { number: '7', from: 'A1:B/87', to: 'K2:1', colour: 'black' }] }
  end
  # Two parts: K1 with two ends below, one above; F1 on the other end of wire w1.
  let(:picture) do
    port = ->(id, x, **about) { { id: id, pin: id, side: 'bottom', x: x, y: 0, wire: nil, up: nil, down: nil, **about } }
    { parts: [{ id: 'K1', ports: [port.call('K1:86', 30, wire: 'w1', up: 'F1:2'), port.call('K1:30', 10), port.call('K1:87', 20, side: 'top')] },
              { id: 'F1', ports: [port.call('F1:2', 0, wire: 'w1', down: 'K1:86')] }] }
  end

  it 'folds runs of a path of which nothing is to be said, and parts them where something was read' do
    suspects = { progress: nil, left: [], parts: [{ unit: 'c', word: 'suspected' }, *%w[d e f g h].map { |unit| { unit: unit, word: 'open' } }] }
    along = %w[a b c d e f g h].map { |unit| stretch(unit) }
    expect(folded(along, suspects)).to eq([[2, true], [1, false], [5, true]])
    expect(folded(along, suspects, ['e'])).to eq([[2, true], [1, false], [2, true], [3, true]])
    expect(folded([stretch('a'), stretch('b', convicted: true), stretch('d')], suspects)).to eq([[1, false], [1, false], [1, false]])
    expect(folded([stretch('d'), stretch('e', across: '0.2 V'), stretch('f'), stretch('g')], suspects)).to eq([[1, false], [1, false], [2, true]])
  end

  it 'folds none of a few that are open' do
    suspects = { progress: nil, left: [], parts: %w[a b c d].map { |unit| { unit: unit, word: 'open' } } }
    expect(folded(%w[a b c d].map { |unit| stretch(unit) }, suspects)).to eq([[1, false]] * 4)
    words = ruled('return given[0].map((units) => web.path.foldedWords({ stretches: units.map((unit) => ({ unit })) }, given[1]))',
                  [%w[a b], %w[x y z]], suspects)
    expect(words).to eq(['2 parts, open', '3 parts, not suspected'])
  end

  def went(from, *keys)
    ruled('const travel = new web.Travel(given[0]); let spot = travel.at(given[1])
           return given[2].map((key) => { spot = (spot && travel.next(spot, key)) ?? null; return spot && spot.port.id })', picture, from, keys)
  end

  it 'is gone along by keys: beside, round the part, over a wire and back, up and down' do
    expect(went('K1:30', *%w[ArrowRight ArrowRight ArrowRight ArrowLeft])).to eq(%w[K1:86 K1:87 K1:30 K1:87])
    expect(went('K1:86', *%w[Enter Enter])).to eq(%w[F1:2 K1:86])
    expect(went('K1:86', *%w[ArrowUp ArrowDown])).to eq(%w[F1:2 K1:86])
    expect(went('F1:2', *%w[ArrowUp])).to eq([nil])
    expect(ruled('const travel = new web.Travel(given[0])
                  return [travel.first().port.id, travel.on("F1:2").part.id, travel.on("none"), travel.at(null)]',
                 picture)).to eq(['K1:86', 'F1', nil, nil])
  end

  it 'of a loop lies where there is room, and stands on a phone, every place within its frame' do
    loop = { feed: Array.new(4) { |at| { place: "f#{at}" } }, return: Array.new(3) { |at| { place: "r#{at}" } } }
    [390, 539, 540, 1280, 10].each do |room|
      laid = ruled('return web.layOut(given[0], given[1])', loop, room)
      spots = laid[:feed] + laid[:back]
      expect(laid[:vertical]).to eq(room < 540)
      expect(laid[:width]).to eq(room.clamp(280, 760))
      expect(spots.map { |spot| spot[:at] }).to all(satisfy { |at| at[:x].between?(0, laid[:width]) && at[:y].between?(0, laid[:height]) })
      expect(laid[:feed].last.values_at(:next, :middle)).to eq([nil, nil])
      one, two, half = laid[:feed].first.values_at(:at, :next, :middle)
      expect(half).to eq(x: (one[:x] + two[:x]) / 2.0, y: (one[:y] + two[:y]) / 2.0)
    end
  end

  it 'is looked up by pin, component, wire, name or colour, and Enter lands on what was named in full' do
    found = lambda do |typed|
      ruled(
        'const { parts, wires, landing } = web.lookUp(given[0], given[1])
         return [parts.map((one) => one.id), wires.map((one) => one.number), landing]', sheet, typed
      )
    end
    expect(found.call('a1:b87')).to eq([[], [], { pin: 'A1:B/87' }])
    expect(found.call(' K11:86 ')).to eq([['K11'], ['27'], { pin: 'K11:86' }])
    expect(found.call('k11')).to eq([['K11'], ['27'], { part: 'K11' }])
    expect(found.call('Wire 27')).to eq([['K11'], ['27'], { wire: '27' }])
    expect(found.call('relay')).to eq([['K11'], [], nil])
    expect(found.call('white')).to eq([[], ['27'], nil])
  end

  it 'keeps what was said by thing and key state, things of two sheets apart' do
    expect(ruled('return [web.keyOf("M2", ""), web.keyOf("M2", "key_on")]')).to eq(%w[M2 M2@key_on])
    expect(ruled('return given[0].map((key) => web.parted(key, [{ key: "M2" }, { key: "L1@fuel_pump" }]))',
                 %w[M2 M2@key_on L1@fuel_pump L1@fuel_pump@running]))
      .to eq([{ watch: 'M2', state: '' }, { watch: 'M2', state: 'key_on' }, { watch: 'L1@fuel_pump', state: '' },
              { watch: 'L1@fuel_pump', state: 'running' }])
    listed = ruled('return web.listed({ M2: "dead", "L1@running": "works", B1: "low" }, ["P0627"])')
    expect(listed).to eq(dead: %w[M2 P0627], weak: [], runs: [], low: ['B1'], high: [], working: ['L1@running'])
    expect(ruled('return [web.anythingBad(given[0]), web.anythingBad(web.listed({ M2: "works" }, []))]', listed)).to eq([true, false])
  end

  it 'rings what falls dead with what is open in the key state that is looked at, and what is disputed until somebody ruled' do
    effects = [{ state: 'key_on', key: 'M2:1', change: 'dead' }, { state: 'key_on', key: 'L1', change: 'weak' },
               { state: 'running', key: 'B1', change: 'dead' }]
    expect(ruled('return [...web.marked.onOpening(given[0], "G8:joint", "key_on").marks]', effects))
      .to contain_exactly(%w[M2 dead], %w[L1 marked], %w[G8 open])
    drawn = { wires: [{ number: '7', uuid: 'w' }, { number: '8', uuid: 'v' }], parts: [{ id: 'K1', uuid: 'k' }] }
    told = lambda { |ruling|
      ruled('const { lit, marks } = web.marked.onConflicts(given[0], given[1]); return [lit && [...lit.wires], [...marks]]', drawn,
            [{ ruling: ruling, items: %w[w k] }])
    }
    expect(told.call(nil)).to eq([[%w[7 suspect], %w[8 dim]], [%w[K1 marked]]])
    expect(told.call({ by: 'lead' })).to eq([nil, []])
  end
end
