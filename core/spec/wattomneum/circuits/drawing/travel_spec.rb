# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drawing::Travel do
  graphs = Hash.new { |made, key| made[key] = Wattomneum::Circuits::Drawing::Graph.new(Wattomneum::Circuits::Library.fetch(key)) }
  define_method(:graph) { |key| graphs[key] }

  # From a pin step by step: the pins on the way.
  def way(key, pin, step)
    drawn = graph(key)
    travel = described_class.new(drawn)
    ports = drawn.nodes.flat_map(&:ports).to_h { |port| [port.id, port] }
    at = ports.values.find { |port| port.pin == pin }
    pins = [pin]
    while (at = ports[travel.from(at)[step]])
      break if pins.size > 40

      pins << at.pin
    end
    pins
  end

  # Read off the sheet by hand: start relay's coil, up through plug and key switch to the fuse, stud, isolator and post.
  it 'goes up to the post that feeds a pin, part by part' do
    expect(way('start_24v', 'K1:86', :up))
      .to eq(%w[K1:86 X1:a/2 X1:b/2 S2:50 S2:30 X1:b/1 X1:a/1 F1:2 F1:1 ST1:joint ST1:joint S1:2 S1:1 BAT_B:+])
  end

  it 'goes down through the coil to its ground' do
    expect(way('start_24v', 'K1:86', :down)).to eq(%w[K1:86 K1:85 X2:a/1 X2:b/1 S3:1 S3:2 X2:b/2 X2:a/2 G3:joint])
  end

  it 'ends where nothing leads on, and never goes round for ever' do
    Wattomneum::Circuits::Library.keys.each do |key| # rubocop:disable Style/HashEachMethods -- no hash
      pins = graph(key).nodes.flat_map(&:ports).filter_map(&:pin).uniq
      round = pins.select { |pin| way(key, pin, :up).size > 40 }
      expect(round.size).to be <= pins.size / 5, "#{key}: #{round}"
    end
  end

  it 'follows its own wire where several share a pin' do
    drawn = graph('start_24v')
    travel = described_class.new(drawn)
    stud = drawn.nodes.find { |node| node.id == 'ST1' }
    downs = stud.ports.select { |port| port.side == :bottom }.map { |port| travel.from(port)[:down] }
    expect(downs.uniq.size).to eq(downs.size)
  end
end
