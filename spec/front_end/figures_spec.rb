# frozen_string_literal: true

RSpec.describe 'Figures, as they are read' do
  include FrontEndModules::Rules

  def each_as(rule, *given) = ruled("return given[0].map((one) => web.#{rule}(one))", given)

  # Signs of the SI brochure, 9th edition, 5.4: a unit in its letters, minus as a minus.
  it 'have units as people write them, and words that look like units left alone' do
    expect(each_as('written', '0.3 mohm at 20 degC', '14 degF', '2.5 mm2', '5 uA', '90 percent', 'percent', '-8 degC to -2 degC', 'K1-30',
                   'a = -3 V (-4)', '18 kohm, 2 Mohm', 'a percent of it', 'degree', 'ohms', '3 uF'))
      .to eq(['0.3 mΩ at 20 °C', '14 °F', '2.5 mm²', '5 µA', '90 %', '%', '−8 °C to −2 °C', 'K1-30', 'a = −3 V (−4)',
              '18 kΩ, 2 MΩ', 'a percent of it', 'degree', 'ohms', '3 µF'])
  end

  it 'are written in what is read only: what is sent back, an id and what somebody typed stay as they are' do
    reply = { summary: '5 ohm', base_unit: 'ohm', complaint: 'hums at -5 degC', id: '1 degC',
              reasons: ['2 mm2', { label: '3 percent', value: 'ohm' }], at: nil, count: 3 }
    expect(ruled('return web.writtenOut(given[0])', reply))
      .to eq(summary: '5 Ω', base_unit: 'ohm', complaint: 'hums at -5 degC', id: '1 degC', reasons: ['2 mm²', { label: '3 %', value: 'ohm' }],
             at: nil, count: 3)
  end

  it 'stay on one line with their unit' do
    expect(each_as('glued', 'reads 12.6 V at 20 °C', '5 mm² for 3 m', '2 men', '18 kΩ', '90 %').map { |text| text.tr("\u00a0", '~') })
      .to eq(['reads 12.6~V at 20~°C', '5~mm² for 3~m', '2 men', '18~kΩ', '90~%'])
  end

  # A meter of 4,000 counts: millivolts under a tenth of a volt, a tenth of one under ten.
  it 'of a sheet are volts and amperes as a meter shows them' do
    expect(each_as('spokenVolt', nil, 0, 0.0004, 0.0005, 0.0099, 0.01, -0.0999, 0.1, -12.6, 25.347))
      .to eq(['floating', '0.00 V', '0.00 V', '0.5 mV', '9.9 mV', '10 mV', '-100 mV', '0.10 V', '-12.60 V', '25.35 V'])
    expect(each_as('spokenAmpere', nil, 0.0004, 0.0049, 0.02, -0.9, 1, 19.94, 20.4, -640))
      .to eq(['', '0 A', '4.9 mA', '20 mA', '900 mA', '1.0 A', '19.9 A', '20 A', '640 A'])
  end

  it 'of what carries them name a component once' do
    items = [{ key: 'K1', label: 'Start relay', kind: 'relay' },
             { key: 'K1 contact 30 to 87', label: 'K1 Start relay, contact 30 to 87', kind: 'contact' },
             { key: 'wire 7', label: 'Wire 7', kind: 'wire' }]
    expect(each_as('spokenItem', *items)).to eq(['K1 Start relay', 'K1 Start relay, contact 30 to 87', 'Wire 7'])
  end

  it 'of a battery say when its health ends, how sure that is, or why nobody can say' do
    outlooks = [{ missing: 'one test more', limit_percent: 60 }, { crosses_on: nil, limit_percent: 60 },
                { crosses_on: '2027-03-01', crosses_between: %w[2027-01-15 2027-06-30], limit_percent: 60 },
                { crosses_on: '2027-03-01', crosses_between: ['2027-01-15', nil], limit_percent: 70 }]
    expect(each_as('outlookWords', *outlooks))
      .to eq(['No outlook yet: one test more', 'Not near 60 % within five years',
              'Reaches 60 % about 1 Mar 2027, 90 % between 15 Jan 2027 and 30 Jun 2027', 'Reaches 70 % about 1 Mar 2027'])
  end
end
