# frozen_string_literal: true

# Worked by hand beside each.
RSpec.describe Wattomneum::Gauges do
  tachometer = Wattomneum::Gauges::Tachometer
  speed = Wattomneum::Gauges::RoadSpeed
  frequency = Wattomneum::Gauges::GeneratorFrequency

  # 6 pole pairs, 180 on 60 mm: 18 a turn, 300 Hz at 1,000 rpm; with 2 % slip 17.64.
  it 'counts the W terminal, whether pulleys are measured across or around' do
    plain = tachometer.w_terminal(pole_pairs: 6, crank_pulley: 180, alternator_pulley: 60)
    around = tachometer.w_terminal(pole_pairs: 6, crank_pulley: 180 * Math::PI, alternator_pulley: 60 * Math::PI)
    expect([plain, tachometer.hertz(plain, 1000), around]).to match([18.0, 300.0, be_within(1e-9).of(18)])
    expect(tachometer.w_terminal(pole_pairs: 6, crank_pulley: 180, alternator_pulley: 60, slip_percent: 2)).to be_within(1e-9).of(17.64)
  end

  # Four-stroke: cylinders / 2 a turn; two-stroke: each turn. A flywheel of 130 teeth, and a cam wheel of 60 at half speed.
  it 'counts sparks and teeth' do
    expect([tachometer.ignition(cylinders: 4), tachometer.ignition(cylinders: 2, strokes: 2), tachometer.teeth(teeth: 130),
            tachometer.teeth(teeth: 60, turns: 0.5)]).to eq([2.0, 2.0, 130.0, 30.0])
    expect(tachometer.shows_ratio(source_pulses: 18, gauge_pulses: 2)).to eq(9.0)
  end

  # 4.10 for 3.73 shows 9.92 % too much at the shaft; 325 for 310 takes 4.6 % off; a wheel sensor sees the tyre alone.
  it 'shows another axle and tyre' do
    figures = { old_axle: 3.73, new_axle: 4.1, old_circumference: 310, new_circumference: 325 }
    expect(speed.shows_ratio(**figures)).to be_within(1e-4).of(1.0485)
    expect(speed.shows_ratio(**figures, at_wheel: true)).to be_within(1e-4).of(0.9538)
    # 4 teeth on a shaft of 4.1 turns and 3.25 m: 5,046 a km, within the 4,000 to 25,000 of the trade.
    expect(speed.pulses_a_km(teeth: 4, axle: 4.1, circumference_m: 3.25)).to be_within(0.5).of(5046)
  end

  # Two poles 3,000 rpm, four 1,500 for 50 Hz; four poles 1,800 for 60 Hz.
  it 'tells a set frequency and speed from each other' do
    expect([frequency.hertz(poles: 2, rpm: 3000), frequency.hertz(poles: 4, rpm: 1500)]).to eq([50.0, 50.0])
    expect(frequency.rpm(poles: 4, hertz: 60)).to eq(1800.0)
  end

  it 'refuses what has no size, and poles that are no pairs' do
    [-> { tachometer.teeth(teeth: 0) }, -> { tachometer.w_terminal(pole_pairs: 6, crank_pulley: 180, alternator_pulley: 0) },
     -> { tachometer.shows_ratio(source_pulses: 2, gauge_pulses: 0) }, -> { speed.pulses_a_km(teeth: 4, axle: 0, circumference_m: 3) },
     -> { frequency.hertz(poles: 3, rpm: 1500) }, -> { frequency.rpm(poles: 4, hertz: 0) }].each do |asked|
      expect(&asked).to raise_error(Wattomneum::InvalidQuantityError)
    end
  end
end
