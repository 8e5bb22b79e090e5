# frozen_string_literal: true

# Figures: handbook, from memory.
RSpec.describe Wattomneum::Preheat do
  describe described_class::Need do
    it 'wants at -10 degC what the handbook says, and nothing over the degrees at which it starts cold' do
      expect(described_class.seconds('direct', celsius: -10.0)).to eq(0.0..5.0)
      expect(described_class.seconds('prechamber', celsius: -10.0)).to eq(10.0..20.0)
      expect(described_class.seconds('grid', celsius: -10.0)).to eq(15.0..30.0)
      expect(described_class.seconds('grid', celsius: 20.0)).to eq(0.0..0.0)
      expect(described_class.seconds('prechamber', celsius: 15.0)).to eq(5.0..10.0)
    end

    it 'holds a timer of another engine against it' do
      expect(described_class.fit('prechamber', celsius: -10.0, timer_seconds: 4.0)).to eq('short')
      expect(described_class.fit('prechamber', celsius: -10.0, timer_seconds: 15.0)).to eq('fits')
      expect(described_class.fit('direct', celsius: -10.0, timer_seconds: 15.0)).to eq('long')
    end

    it 'carries nothing on into a cold that nobody knows' do
      expect(described_class.seconds('grid', celsius: -60.0)).to eq(described_class.seconds('grid', celsius: -30.0))
      expect { described_class.seconds('steam', celsius: 0.0) }.to raise_error(Wattomneum::UnknownKeyError)
    end
  end

  describe described_class::Draw do
    def draw(wiring = 'parallel', plugs: 4, ampere: 12.0) = described_class.new(plugs: plugs, wiring: wiring, plug_ampere: ampere)

    # One open of n in parallel leaves n - 1 shares; in series one open kills all.
    it 'counts the open ones' do
      expect([48.0, 36.5, 24.0, 0.0].map { |ampere| draw.open(ampere) }).to eq([0, 1, 2, 4])
      expect([12.0, 0.0].map { |ampere| draw('series').open(ampere) }).to eq([0, 4])
    end

    it 'counts nothing that fits no number of plugs' do
      expect([42.0, 70.0].map { |ampere| draw.open(ampere) }).to eq([nil, nil])
    end

    # The solver's own glow sheet, with plugs open one after another.
    it 'agrees with the shipped circuit' do
      sheet = Wattomneum::Circuits::Library.fetch('glow')
      whole = nil
      [0, 1, 2, 3].each do |open|
        settled = Wattomneum::Circuits::Machine.new(sheet.with_wires_only(sheet.wires.reject do |wire|
          %w[51 52 53].first(open).include?(wire.number)
        end)).settled
        instruments = Wattomneum::Circuits::Questions::Instruments.new(settled)
        ampere = (instruments.volts('K3:30', 'K3:87', key_state: 'preglow').volt / 0.0015).abs
        whole ||= ampere
        expect(draw(ampere: whole / 4).open(ampere)).to eq(open)
      end
    end

    it 'wants plugs' do
      expect { draw(plugs: 0) }.to raise_error(Wattomneum::InvalidQuantityError)
      expect { draw('star') }.to raise_error(Wattomneum::UnknownKeyError)
    end
  end
end
