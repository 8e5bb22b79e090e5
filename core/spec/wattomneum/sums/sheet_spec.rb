# frozen_string_literal: true

RSpec.describe Wattomneum::Sums::Sheet do
  def sum(key) = Wattomneum::Sums::Catalogue.fetch(key)

  it 'takes defaults for what was not typed, and both decimal signs' do
    expect(sum('ghost_volts').read('shown_volt' => '11,5')).to eq(supply_volt: 12.0, shown_volt: 11.5, meter_megohm: 10.0)
  end

  it 'leaves out an optional input that is empty, and no other' do
    expect(sum('cable_size').read('seconds' => '')[:seconds]).to be_nil
    expect { sum('cable_size').read('ampere' => '') }.to raise_error(Wattomneum::InvalidQuantityError, /Current: "" is not a number/)
  end

  it 'reads lists, words and yes or no' do
    expect(sum('resistances').read('ohms' => '120 40000; 3,3')[:ohms]).to eq([120.0, 40_000.0, 3.3])
    expect(sum('full_field').read('internal_regulator' => 'yes')[:internal_regulator]).to be(true)
    expect { sum('regulated').read('system' => '48 V') }.to raise_error(Wattomneum::InvalidQuantityError, /System is 12 V, 24 V, got 48 V/)
  end

  it 'refuses infinity and text' do
    ['1e400', 'twelve', '12 A', '--3'].each do |text|
      expect { sum('lamp').read('volt' => text) }.to raise_error(Wattomneum::InvalidQuantityError), text
    end
  end

  it 'names the range of a figure that lies outside of it' do
    { 'lamp' => [{ 'volt' => '1e9' }, /Volts.* -1000 to 1000 V, got 1e9/i], 'fuse' => [{ 'bundled' => '-1' }, /bundle is 0 to 1000, got -1/],
      'resistances' => [{ 'ohms' => '5 ' * 101 }, /101 figures, at most 100/] }.each do |key, (typed, words)|
      expect { sum(key).read(typed) }.to raise_error(Wattomneum::InvalidQuantityError, words)
    end
  end

  it 'answers or refuses in a sentence wherever figures lie at the ends of their ranges' do
    Wattomneum::Sums::Catalogue::ALL.each do |sheet|
      numbers = sheet.inputs.select { |input| input['kind'] == 'number' }
      numbers.product([0, 1]).each do |input, place|
        typed = { input['key'] => described_class::RANGES.fetch(input['unit'] || 'none')[place].to_s }
        answer = Wattomneum::Sums::Calculator.call(sheet, typed).answer
        expect(answer).not_to match(/NaN|Infinity/), "#{sheet.key} #{typed}: #{answer}"
      rescue Wattomneum::Error => e
        expect(e.message).to match(/\w/)
      end
    end
  end

  Wattomneum::Sums::Catalogue::ALL.each do |sheet|
    it "shows the formula and the source of #{sheet.key}, and a label for every input" do
      expect([sheet.title, sheet.formula, sheet.source, *sheet.inputs.map { |input| input['label'] }]).to all(match(/\w/))
    end
  end
end
