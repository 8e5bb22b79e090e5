# frozen_string_literal: true

RSpec.describe Wattomneum::Ignition::TowerMap do
  def order(text) = Wattomneum::Ignition::FiringOrder.read(text)
  def map(text, rotation, first_at) = described_class.new(order(text), rotation: rotation, first_at: first_at)

  # Check of the trade (common practice): order 1-3-4-2, 1 at three o'clock, 3 at twelve, 4 at nine, 2 at six is anticlockwise.
  it 'repeats the check of the trade' do
    expect(map('1-3-4-2', 'anticlockwise', 3).hours).to eq(1 => 3, 3 => 12, 4 => 9, 2 => 6)
  end

  # Worked by hand on paper, 12 hours over the number of towers, for every size and both directions.
  { ['1-2', 'clockwise', 12] => { 1 => 12, 2 => 6 }, ['1-2', 'anticlockwise', 9] => { 1 => 9, 2 => 3 },
    ['1-2-3', 'clockwise', 12] => { 1 => 12, 2 => 4, 3 => 8 }, ['1-3-2', 'anticlockwise', 12] => { 1 => 12, 3 => 8, 2 => 4 },
    ['1-2-4-3', 'clockwise', 1.5] => { 1 => 1.5, 2 => 4.5, 4 => 7.5, 3 => 10.5 },
    ['1-5-3-6-2-4', 'clockwise', 1] => { 1 => 1, 5 => 3, 3 => 5, 6 => 7, 2 => 9, 4 => 11 },
    ['1-4-2-6-3-5', 'anticlockwise', 12] => { 1 => 12, 4 => 10, 2 => 8, 6 => 6, 3 => 4, 5 => 2 },
    ['1-8-4-3-6-5-7-2', 'clockwise', 6] => { 1 => 6, 8 => 7.5, 4 => 9, 3 => 10.5, 6 => 12, 5 => 1.5, 7 => 3, 2 => 4.5 },
    ['1-5-4-2-6-3-7-8', 'anticlockwise', 3] => { 1 => 3, 5 => 1.5, 4 => 12, 2 => 10.5, 6 => 9, 3 => 7.5, 7 => 6, 8 => 4.5 } }.each do |asked, hours|
    it "gives every tower its cylinder for #{asked.join(', ')}" do
      expect(map(*asked).hours).to eq(hours)
    end
  end

  it 'reads clockwise from cylinder 1' do
    expect(map('1-3-4-2', 'clockwise', 5).clockwise).to eq([1, 3, 4, 2])
    expect(map('1-3-4-2', 'anticlockwise', 5).clockwise).to eq([1, 2, 4, 3])
  end

  # Turned, each lead keeps its neighbours; from inside, left and right change places.
  it 'maps one to one onto the same cap in another orientation, and from the other side' do
    drawn = map('1-3-4-2', 'anticlockwise', 3)
    expect(drawn.seen(first_at: 12)).to eq(1 => 12, 3 => 9, 4 => 6, 2 => 3)
    expect(drawn.seen(first_at: 3, mirrored: true)).to eq(1 => 3, 3 => 6, 4 => 9, 2 => 12)
    expect(drawn.seen(first_at: 3)).to eq(drawn.hours)
  end

  it 'asks for the direction where it is not known' do
    expect { map('1-3-4-2', 'not known', 3) }.to raise_error(Wattomneum::InvalidQuantityError, /crank it with the cap off and look/)
  end

  describe Wattomneum::Ignition::CapCheck do
    def check(text, *towers) = described_class.new(order(text), towers)

    it 'says whether the leads are right in either direction, and where they are not' do
      found = check('1-3-4-2', 1, 2, 4, 3)
      expect(found.turning('anticlockwise').right).to be(true)
      expect(found.turning('clockwise').to_h).to eq(right: false, reason: 'after 1 the rotor comes to 2, the order wants 3')
      expect(%w[clockwise anticlockwise].map { |way| check('1-2', 2, 1).turning(way).right }).to eq([true, true])
    end

    # By brute force: of all caps that come of one exchange, the pair is found, and only that one puts it right.
    { '1-3-4-2' => 4, '1-5-3-6-2-4' => 6, '1-8-4-3-6-5-7-2' => 8, '1-3-2' => 3 }.each do |text, size|
      it "finds every pair of swapped leads of #{text}, in both directions" do
        Wattomneum::Ignition::TowerMap::ROTATIONS.product((2..size).to_a.combination(2).to_a).each do |rotation, pair|
          sound = Wattomneum::Ignition::TowerMap.new(order(text), rotation: rotation, first_at: 12).clockwise
          swapped = sound.map { |one| pair.include?(one) ? (pair - [one]).first : one }
          found = check(text, *swapped)
          mending = (1..size).to_a.combination(2).select do |one, other|
            changed = swapped.map { |cylinder| { one => other, other => one }.fetch(cylinder, cylinder) }
            check(text, *changed).turning(rotation).right
          end
          expect([rotation, found.turning(rotation).right, found.swapped(rotation)]).to eq([rotation, false, [pair]])
          expect(mending).to include(pair)
        end
      end
    end

    it 'refuses another cap, a lead twice, and a cylinder that there is not' do
      { [1, 2, 3, 4, 5] => /5 towers for 4 cylinders/, [1, 2, 2, 3] => /cylinder 2 has two leads/,
        [1, 2, 3, 9] => /no cylinder 9/ }.each do |towers, words|
        expect { check('1-3-4-2', *towers) }.to raise_error(Wattomneum::InvalidQuantityError, words)
      end
    end
  end
end
