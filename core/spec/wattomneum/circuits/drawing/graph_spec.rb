# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drawing::Graph do
  circuits = Wattomneum::Circuits

  def graph(key) = described_class.new(Wattomneum::Circuits::Library.fetch(key))
  def ports(graph) = graph.nodes.flat_map(&:ports).to_h { |port| [port.id, port] }

  # Pin to pin, as the wires run down the page.
  def runs(graph)
    all = ports(graph)
    graph.edges.to_h { |edge| [edge.wire_uuid, [all.fetch(edge.from).pin, all.fetch(edge.to).pin]] }
  end

  # Nodes that lie on a circle, found by taking away what nothing leads to or from.
  def in_circles(graph)
    edges = graph.edges.map { |edge| [edge.from_node, edge.to_node] }
    loop do
      ends = edges.select { |from, to| edges.none? { |_, other| other == from } || edges.none? { |other, _| other == to } }
      break edges.flatten.uniq if ends.empty?

      edges -= ends
    end
  end

  # The same circuit, every wire written the other way round.
  def turned(sheet)
    wires = sheet.wires.map do |wire|
      fields = Wattomneum::Circuits::Wire::FIELDS.to_h { |name| [name, wire.public_send(name)] }
      Wattomneum::Circuits::Wire.new(**fields, from: wire.to, to: wire.from)
    end
    Wattomneum::Circuits::Sheet.new(**Wattomneum::Circuits::Sheet::FIELDS.to_h { |name| [name, sheet.public_send(name)] }, wires: wires)
  end

  circuits::Library.keys.each do |key| # rubocop:disable Style/HashEachMethods -- no hash
    describe "of #{key}" do
      let(:sheet) { circuits::Library.fetch(key) }
      let(:drawn) { graph(key) }

      it 'has every wire once, each end on its own pin' do
        expect((drawn.edges.map(&:wire_uuid) + drawn.straps.map(&:uuid)).sort).to eq(sheet.wires.map(&:uuid).sort)
        ends = drawn.nodes.flat_map(&:ports).select(&:wire_uuid).map { |port| [port.wire_uuid, port.pin] }
        expect(ends.sort).to eq((drawn.sheet.wires - drawn.straps).flat_map { |wire| [[wire.uuid, wire.from], [wire.uuid, wire.to]] }.sort)
        expect(drawn.nodes.map(&:id).uniq.size).to eq(drawn.nodes.size)
      end

      it 'shows every part that a wire ends on, and lists the others' do
        strapped = drawn.straps.flat_map { |wire| [wire.from, wire.to] }.map { |node| node.split(':').first }
        expect((drawn.nodes.filter_map(&:part_id) + strapped + drawn.unwired.map(&:id)).uniq.sort).to eq(sheet.parts.map(&:id).sort)
      end

      it 'runs down the page, but for a few wires between pins of one side' do
        all = ports(drawn)
        level = drawn.edges.reject { |edge| [all.fetch(edge.from).side, all.fetch(edge.to).side] == %i[bottom top] }
        expect(level.size).to be <= 3
        expect(level.map { |edge| [edge.from, edge.to].map { |id| all.fetch(id).side }.uniq.size }).to all(eq(1))
      end

      it 'says the same however its wires were written' do
        other = described_class.new(turned(sheet))
        expect(ports(other).values.map { |port| [port.wire_uuid, port.pin, port.side] }.sort_by(&:to_s))
          .to eq(ports(drawn).values.map { |port| [port.wire_uuid, port.pin, port.side] }.sort_by(&:to_s))
        unlike = runs(drawn).reject { |uuid, run| runs(other).fetch(uuid) == run }
        expect(unlike).to be_empty
      end

      it 'goes round in few circles' do
        expect(in_circles(drawn).size).to be <= drawn.nodes.size / 4
      end
    end
  end

  # By hand, from the sheet: battery B's positive feeds, A's is fed by B's negative; the key's 30 takes, 15 and 50 give; the coil is fed at 86.
  it 'puts what feeds on top of what it feeds' do
    run = runs(graph('start_24v')).values
    expect(run).to include(%w[BAT_B:+ S1:1], %w[BAT_B:- BAT_A:+], %w[BAT_A:- G2:joint], %w[F1:2 X1:a/1], %w[X1:b/1 S2:30], %w[S2:50 X1:b/2],
                           %w[X1:a/2 K1:86], %w[K1:85 X2:a/1], %w[X2:b/1 S3:1], %w[S3:2 X2:b/2], %w[X2:a/2 G3:joint], %w[K1:87 K2:86])
  end

  it 'turns a plug by what comes in: way 1 from the frame, way 2 back from the cab' do
    ways = graph('start_24v').nodes.select { |node| node.part_id == 'X1' }
    expect(ways.to_h { |node| [node.way, node.top] }).to eq('1' => 'a', '2' => 'b')
  end

  it 'gives each wire to metal a sign of its own, and straps a place of their own' do
    drawn = graph('start_24v')
    signs = drawn.nodes.select { |node| node.kind == 'metal' }
    expect([signs.map(&:part_id).tally, drawn.straps.map(&:number)]).to eq([{ 'BLOCK' => 1 }, ['strap']])
  end

  it 'hangs sensors below their control unit, all pins up, and no heater with a ground of its own' do
    drawn = graph('ecu_power')
    sensors = drawn.nodes.select { |node| node.kind == 'sensor' }
    expect(sensors).not_to be_empty
    expect(sensors.flat_map(&:ports).map(&:side).uniq).to eq([:top])
    heater = graph('heater').nodes.select { |node| node.kind == 'load' && node.ports.any? { |port| port.side == :bottom } }
    expect(heater).not_to be_empty
  end

  it 'flags what goes on on another sheet, on the side of its pin' do
    drawn = graph('ecu_power')
    flags = drawn.nodes.select { |node| node.kind == 'link' }
    expect(flags.map { |node| [node.link.sheet, node.ports.map(&:side)] }).to eq([['fuel_pump', [:bottom]], ['start_24v', [:top]]])
    expect(drawn.to_sheets.map { |edge| [edge.from_node, edge.to_node] }).to eq([['link 0', 'A1'], ['S2', 'link 1']])
  end

  it 'lists what no wire ends on' do
    expect(graph('ecu_power').unwired.map(&:id)).to eq(['G7'])
  end
end
