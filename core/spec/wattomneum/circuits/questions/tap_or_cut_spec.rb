# frozen_string_literal: true

# Handbook: more than one listener, tapped; one that feeds a safety system, never cut; a single listener may be cut.
RSpec.describe Wattomneum::Circuits::Questions::TapOrCut do
  let(:sheet) { Wattomneum::Circuits::Library.fetch('speed_signal') }

  def without(*numbers) = sheet.with_wires_only(sheet.wires.reject { |wire| numbers.include?(wire.number) })

  it 'taps what several listen to, and names the branch that may be cut for each that is not guarded' do
    found = described_class.new(sheet, 'B20:1')
    expect(found.advice).to eq('tap')
    expect(found.listeners.to_h { |one| [one.part.id, [one.guards, one.own_wires]] })
      .to eq('U20' => [nil, ['14']], 'U21' => [nil, ['15']], 'U22' => ['brakes', ['16']])
    expect(found.may_be_cut).to eq(%w[14 15])
    expect(found.words.first).to include('U22 Brake controller keeps brakes safe: never cut')
  end

  it 'says the same wherever on the signal one stands' do
    %w[X20:b/1 SP20 U22:B/5].each { |pin| expect(described_class.new(sheet, pin).may_be_cut).to eq(%w[14 15]) }
  end

  it 'lets one listener be cut, unless something safe hangs on it' do
    alone = described_class.new(without('15', '16'), 'B20:1')
    expect([alone.advice, alone.may_be_cut]).to eq(['cut', %w[14 13 12]])
    brakes = described_class.new(without('14', '15'), 'B20:1')
    expect([brakes.advice, brakes.may_be_cut]).to eq(['tap', []])
    expect(brakes.words).to eq(['U22 Brake controller keeps brakes safe: never cut, neither here nor on its own branch'])
  end

  it 'says where nobody listens, and knows no pin that is not there' do
    expect(described_class.new(without('13'), 'B20:1').advice).to eq('nobody')
    expect { described_class.new(sheet, 'B20:9') }.to raise_error(Wattomneum::UnknownKeyError)
  end
end
