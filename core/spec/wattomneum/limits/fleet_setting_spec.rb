# frozen_string_literal: true

RSpec.describe Wattomneum::Limits::FleetSetting do
  subject(:setting) { described_class.new(Wattomneum::Limits::Table.shipped) }

  it 'takes a stricter and a looser value near the shipped one, positive or negative' do
    expect(setting.check('drop.ground_cranking@12', 0.2).value).to eq(0.2)
    expect(setting.check('drop.ground_cranking@12', 0.6).value).to eq(0.6)
    expect(setting.check('charging.shift_per_degree@12', -0.03).value).to eq(-0.03)
  end

  it 'refuses a value farther than a factor of two, and says from where to where' do
    { 0.61 => '0.61', 0.1 => '0.1', 3.0 => '3', -0.3 => '-0.3' }.each do |value, words|
      expect { setting.check('drop.ground_cranking@12', value) }
        .to raise_error(Wattomneum::InvalidQuantityError, "drop.ground_cranking@12 may be set from 0.15 to 0.6 V, got #{words}")
    end
    expect { setting.check('charging.shift_per_degree@12', 0.018) }
      .to raise_error(Wattomneum::InvalidQuantityError, /from -0.036 to -0.009/)
  end

  it 'refuses to cross the limit above, from either side' do
    { ['charging.low@12', 14.7] => 'charging.low@12 must stay under charging.high@12',
      ['charging.high@24', 27.6] => 'charging.low@24 must stay under charging.high@24',
      ['battery.health_serviceable', 85] => 'battery.health_serviceable must stay under battery.health_sound' }.each do |(id, value), words|
      expect { setting.check(id, value) }.to raise_error(Wattomneum::InvalidQuantityError, include(words))
    end
  end

  it 'counts what the fleet has set already' do
    own = described_class.new(Wattomneum::Limits::Table.shipped.with('charging.high@12' => 14.4))
    expect { own.check('charging.low@12', 14.5) }.to raise_error(Wattomneum::InvalidQuantityError, /14.5 against 14.4 V/)
    expect(own.check('charging.high@12', 14.7).value).to eq(14.7)
  end

  it 'refuses limits that guard people or belong to the instrument, and limits that are none' do
    %w[charging.over_cap@12 evidence.power_off charging.over_cap@24 evidence.meter_input].each do |id|
      expect { setting.check(id, 1.0) }.to raise_error(Wattomneum::RefusedError, /not a fleet's to set/)
    end
    expect { setting.check('drop.nothing@12', 1.0) }.to raise_error(Wattomneum::UnknownKeyError, /no limit drop.nothing@12/)
  end
end
