# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Situation do
  it 'is one vocabulary for sheets and tests, with a table between them' do
    table = Wattomneum::Circuits::Situations
    expect(Wattomneum::Readings::Catalogue::STATES.keys.map { |state| table.of_test(state).sheet_state })
      .to eq(%w[isolator_on key_on cranking running running running])
    expect(table.fetch('isolator_open').live?).to be(false)
    expect { table.of_test('flying') }.to raise_error(Wattomneum::UnknownKeyError)
  end

  it 'keeps the states that only one sheet has' do
    glow = Wattomneum::Circuits::Library.fetch('glow')
    expect(described_class.of(glow).map(&:key)).to eq(%w[isolator_open stopped preglow key_on cranking idle fast_idle fast_idle_loaded])
    expect(Wattomneum::Circuits::Situations.on(glow, 'preglow').sheet_state).to eq('preglow')
    expect { Wattomneum::Circuits::Situations.on(glow, 'off') }
      .to raise_error(Wattomneum::UnknownKeyError, /knows no state "off": isolator_open, stopped/)
  end
end
