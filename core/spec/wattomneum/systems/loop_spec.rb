# frozen_string_literal: true

RSpec.describe Wattomneum::Systems::Loop do
  def places(loops) = loops.to_h { |loop| [loop.key, [loop.feed.map(&:key), loop.return.map(&:key)]] }

  it 'draws the usual places where a unit has no sheet' do
    expect(places(described_class.for(parallel_pair))['start'])
      .to eq([%w[positive_post isolator_in isolator_out starter_stud], %w[starter_case engine_block frame negative_post]])
    expect(places(described_class.for(single_battery))['start'].first).to eq(%w[positive_post starter_stud])
  end

  # What the sheets say, found by walking the circuit, is what the loop draws.
  it 'takes its places from the circuit sheets, in the order in which current meets them' do
    found = %w[start_12v charge_12v].each_with_object({}) do |key, hash|
      machine = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(key))
      machine.sheet.loops.each { |loop| hash[loop.key] = machine.loop_places(loop) }
    end
    drawn = places(described_class.for(parallel_pair, places: found))
    expect(drawn['start']).to eq([%w[positive_post isolator_in isolator_out starter_stud], %w[starter_case engine_block frame negative_post]])
    expect(drawn['charge']).to eq([%w[positive_post alternator_output], %w[alternator_case negative_post]])
  end
end
