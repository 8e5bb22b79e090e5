# frozen_string_literal: true

RSpec.describe 'What can be chosen from a list that one types into' do
  include FrontEndModules::Rules

  let(:parts) do
    [{ label: 'Fuel pump relay (K11)' }, { label: 'Fuel pump (M2)' }, { label: 'Heater (R3)', detail: 'behind the seat' }, { label: 'Europe/London' }]
  end

  def found(typed) = ruled('return web.choices.matching(given[0], given[1]).map((one) => one.label)', parts, typed)
  def meant(typed) = ruled('return web.choices.meant(given[0], given[1])?.label ?? null', parts, typed)

  it 'is found by parts of its name in any order, whatever their capitals and signs, by its detail too' do
    expect(found('PUMP fuel')).to eq(['Fuel pump relay (K11)', 'Fuel pump (M2)'])
    expect([found('k11'), found('seat'), found('london europe'), found('kettle')])
      .to eq([['Fuel pump relay (K11)'], ['Heater (R3)'], ['Europe/London'], []])
  end

  it 'is what was meant where that is in no doubt, and else nothing' do
    expect(['fuel pump m2', 'heater', 'fuel pump', '', '  ', 'kettle'].map { |typed| meant(typed) })
      .to eq(['Fuel pump (M2)', 'Heater (R3)', nil, nil, nil, nil])
  end
end
