# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Solving::Shorts do
  it 'names a supply shorted with no fuse in the way' do
    sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.005 }'], ['{ number: 7, from: BAT:+, to: BAT:-, ohm: 0.001 }'])
    expect(described_class.find(settled(sheet)).first.to_s).to include('BAT gives', 'wire 7', 'no fuse is in the way')
  end
end
