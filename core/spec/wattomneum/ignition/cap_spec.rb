# frozen_string_literal: true

RSpec.describe Wattomneum::Ignition::Cap do
  def cap(**about) = described_class.new(order: '1-3-4-2', rotation: 'anticlockwise', first_at: 3, **about)

  # Check value of the trade, common practice: 1 at three, 3 at twelve, 4 at nine, 2 at six is anticlockwise.
  it 'has one map where the direction is known, and both where it is not' do
    expect(cap.maps.map { |map| [map.rotation, map.towers] }).to eq([['anticlockwise', { 1 => 3.0, 3 => 12.0, 4 => 9.0, 2 => 6.0 }]])
    expect(cap(rotation: 'not known').maps.map(&:rotation)).to eq(%w[clockwise anticlockwise])
  end

  # By hand: seen from inside, left and right change places, and so does the direction; turned only, it stays.
  it 'maps another drawing tower for tower' do
    mirrored = cap(seen_first_at: 12, seen_mirrored: true).maps.first
    expect([mirrored.seen, mirrored.seen_rotation]).to eq([{ 1 => 12.0, 3 => 3.0, 4 => 6.0, 2 => 9.0 }, 'clockwise'])
    turned = cap(seen_first_at: 12).maps.first
    expect([turned.seen, turned.seen_rotation]).to eq([{ 1 => 12.0, 3 => 9.0, 4 => 6.0, 2 => 3.0 }, 'anticlockwise'])
    expect(cap.maps.first.seen).to be_nil
  end

  it 'holds the leads that are on it against either direction' do
    both = cap(rotation: 'not known', towers: [1, 3, 4, 2]).maps
    expect(both.map { |map| map.verdict.right }).to eq([true, false])
    expect(cap(towers: [1, 4, 2, 3]).maps.first).to have_attributes(change: [2, 4], verdict: have_attributes(right: false))
  end

  it 'explains weak cylinders, and says nothing where none are' do
    expect(cap(weak: [3, 4]).changes.map(&:cylinders)).to eq([[3, 4]])
    expect(cap(weak: [3]).changes).to eq([])
    expect(cap.changes).to be_nil
  end

  it 'gives loose leads by their length, and knows who shares a coil' do
    expect(cap(needs: [60, 45, 30, 38], leads: [40, 65, 48, 35]).lengths.map(&:lead_cm)).to eq([65, 48, 35, 40])
    expect([cap.pairs, cap(wasted: true).pairs]).to eq([[], [[1, 4], [3, 2]]])
  end

  it 'is no cap where any of it cannot be so, as soon as it is told' do
    { { order: '1-3-3-2' } => /stands in it twice/, { towers: [1, 3, 4, 2, 5] } => /5 towers for 4/, { intervals: [90, 90] } => /360 degrees/,
      { rotation: 'sideways' } => /crank it with the cap off/, { weak: [7] } => /no cylinder 7/, { needs: [60, 45, 30, 38] } => /0 leads for 4/,
      { order: '1-2-3', wasted: true, weak: [1] } => /in pairs/ }.each do |about, words|
      expect { cap(**about) }.to raise_error(Wattomneum::InvalidQuantityError, words)
    end
  end
end
