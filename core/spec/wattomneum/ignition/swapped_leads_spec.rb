# frozen_string_literal: true

RSpec.describe Wattomneum::Ignition::SwappedLeads do
  def order(text) = Wattomneum::Ignition::FiringOrder.read(text)
  def changes(text, weak, **about) = described_class.new(order(text), **about).changes(weak).map(&:cylinders)

  # A rotor that turns and a list of who is at the top of compression, written apart from the code: the leads changed on paper for every pair of every
  # order, and those named that spark at another angle than they want.
  def dead_by_rotor(firing, one, other, coils:)
    wants = firing.each_with_index.to_h { |cylinder, index| [cylinder, index * 720.0 / firing.size] }
    led = firing.map do |cylinder|
      if cylinder == one
        other
      else
        (cylinder == other ? one : cylinder)
      end
    end
    gets = led.each_with_index.to_h { |cylinder, index| [cylinder, index * 720.0 / firing.size] }
    turn = coils ? 360.0 : 720.0
    firing.reject { |cylinder| ((wants[cylinder] - gets[cylinder]) % turn).abs < 0.001 }.sort
  end

  %w[1-2 1-2-3 1-3-2 1-3-4-2 1-2-4-3 1-5-3-6-2-4 1-4-2-6-3-5 1-8-4-3-6-5-7-2].each do |text|
    [false, true].each do |wasted|
      firing = text.split('-').map(&:to_i)
      next if wasted && firing.size.odd?

      it "finds every pair that changed places on #{text}#{', a spark wasted' if wasted}" do
        firing.sort.combination(2) do |pair|
          weak = dead_by_rotor(firing, *pair, coils: wasted)
          found = changes(text, weak, wasted: wasted)
          weak.empty? ? expect(found).to(eq([])) : expect(found).to(include(pair))
        end
      end
    end
  end

  it 'explains no single weak cylinder: two leads change places, or none' do
    expect(changes('1-3-4-2', [3])).to eq([])
    expect(changes('1-3-4-2', [])).to eq([])
    expect(changes('1-3-4-2', [3, 4])).to eq([[3, 4]])
  end

  it 'turns all leads where every cylinder is out' do
    rounds = described_class.new(order('1-3-4-2')).changes([1, 2, 3, 4])
    expect(rounds.map(&:towers_round)).to eq([1, 2, 3])
    expect(rounds.first.words).to include('one tower too far')
  end

  it 'knows no cylinder that the engine has not, and wastes no spark on three' do
    expect { changes('1-3-4-2', [5]) }.to raise_error(Wattomneum::InvalidQuantityError, /no cylinder 5/)
    expect { changes('1-2-3', [1], wasted: true) }.to raise_error(Wattomneum::InvalidQuantityError, /in pairs/)
  end

  describe Wattomneum::Ignition::LeadLengths do
    it 'gives the longest lead to the longest way' do
      given = described_class.give({ 1 => 60, 2 => 45, 3 => 30, 4 => 38 }, [40, 65, 48, 35])
      expect(given.to_h { |one| [one.cylinder, one.lead_cm] }).to eq(1 => 65, 2 => 48, 3 => 35, 4 => 40)
    end

    # By brute force: it gives up only where no order of the leads reaches.
    it 'reaches wherever any choice does' do
      random = Random.new(4)
      60.times do
        needs = (1..4).to_h { |cylinder| [cylinder, random.rand(20..60)] }
        leads = Array.new(4) { random.rand(25..65) }
        any = leads.permutation.any? { |given| given.zip(needs.values).all? { |lead, need| lead >= need } }
        reached = begin
          described_class.give(needs, leads).all? { |one| one.lead_cm >= one.need_cm }
        rescue Wattomneum::InvalidQuantityError
          false
        end
        expect(reached).to be(any)
      end
    end

    it 'wants a lead for each' do
      expect { described_class.give({ 1 => 10, 2 => 10 }, [20]) }.to raise_error(Wattomneum::InvalidQuantityError, /1 leads for 2/)
    end
  end

  describe 'a cap of an engine that fires unevenly' do
    def map(intervals) = Wattomneum::Ignition::TowerMap.new(order('1-2'), rotation: 'clockwise', first_at: 12, intervals: intervals)

    # Two cylinders that fire 180 and 540 degrees of the crank apart: 90 and 270 of the distributor (handbook, from memory).
    it 'places its towers by their angles' do
      expect(map([90, 270]).hours).to eq(1 => 12.0, 2 => 3.0)
    end

    it 'wants angles that make a turn, one for each' do
      [[90, 90], [360], [400, -40]].each { |wrong| expect { map(wrong) }.to raise_error(Wattomneum::InvalidQuantityError, /360 degrees/) }
    end
  end
end
