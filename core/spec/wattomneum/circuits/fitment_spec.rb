# frozen_string_literal: true

# What is bolted on, against the crank test itself and against docs/cold-crank.md, which is worked by hand.
RSpec.describe Wattomneum::Circuits::Fitment do
  def system_of(volt, ampere)
    made = { 12 => %w[parallel 2], 24 => %w[series 2] }.fetch(volt)
    Wattomneum::Units::ElectricalSystem.new(system_volt: volt, arrangement: made.first, battery_count: 2, usual_cranking_current_ampere: ampere,
                                            batteries: { 'A' => battery('one'), 'B' => battery('other') })
  end

  # The two units of docs/cold-crank.md.
  def bus_test
    Wattomneum::Cranking::CrankTest.new(rest_volt: 12.55, posts_volt: 10.60, drop_volt: 0.40, ground_drop_volt: 0.15, celsius: 10.0,
                                        batteries_in_series: 1, ampere: 620.0, speed_rpm: 190.0)
  end

  def truck_test
    Wattomneum::Cranking::CrankTest.new(rest_volt: 25.20, posts_volt: 21.20, drop_volt: 0.60, ground_drop_volt: 0.20, celsius: 8.0,
                                        batteries_in_series: 2, ampere: 320.0, speed_rpm: 175.0)
  end

  def fitted(key, volt, ampere, **rest)
    described_class.new(Wattomneum::Circuits::Library.fetch(key), system: system_of(volt, ampere), **rest).machine
  end

  def cranking(machine)
    solution = machine.settled.fetch('cranking').solution
    at = ->(node) { solution.volt(machine.circuit.node(node)) }
    owned = machine.circuit.owned
    ampere = owned.each_index.sum { |index| owned[index].part&.id == 'M1' && owned[index].ring_of.nil? ? solution.current(index) : 0.0 }
    { posts: at.call(machine.sheet.places['positive_post']), feed: at.call(machine.sheet.places['positive_post']) - at.call('M1:+'),
      ground: at.call('M1:case'), ampere: ampere, speed: machine.sheet.part('M1').speed_ratio(ampere) }
  end

  def expect_within(percent, found, **expected)
    expected.each do |name, figure|
      expect(found[name]).to be_within(figure.abs * percent / 100.0).of(figure), "#{name}: #{found[name]} for #{figure}"
    end
  end

  it 'returns the unit\'s own crank test at its temperature' do
    bus = cranking(fitted('start_12v', 12, 600.0, celsius: 10.0, crank_test: bus_test))
    expect_within(2, bus, posts: 10.60, feed: 0.25, ground: 0.15, ampere: 620, speed: 1)
    truck = cranking(fitted('start_24v', 24, 450.0, celsius: 8.0, crank_test: truck_test))
    expect_within(2, truck, posts: 21.20, ampere: 320, speed: 1)
    expect_within(6, truck, feed: 0.40, ground: 0.20) # the solenoid's own 16 A go the same way
  end

  it 'comes to what was worked by hand for another morning, within 2 %' do
    bus = fitted('start_12v', 12, 600.0, celsius: -13.6, engine_celsius: -12.5, charge_percent: { 'A' => 80.0 }, crank_test: bus_test)
    expect_within(2, cranking(bus), posts: 8.884, ampere: 850.4, speed: 0.63229)
    truck = fitted('start_24v', 24, 450.0, celsius: -16.6, engine_celsius: -15.5, charge_percent: { 'A' => 85.0 }, crank_test: truck_test)
    expect_within(2, cranking(truck), posts: 17.338, ampere: 444.7, speed: 0.60495)
  end

  it 'takes the usual current of a healthy engine at about 20 degC, whatever the sheet drew' do
    expect_within(1, cranking(fitted('start_12v', 12, 600.0)), ampere: 600, speed: 1)
    expect_within(1, cranking(fitted('start_24v', 24, 450.0)), ampere: 450, speed: 1)
  end

  it 'stands in the cold with a weak bank, and is nothing but its resistance then' do
    machine = fitted('start_12v', 12, 600.0, celsius: -25.0, charge_percent: { 'A' => 50.0, 'B' => 50.0 }, health_ratio: { 'A' => 0.3, 'B' => 0.3 })
    found = cranking(machine)
    starter = machine.sheet.part('M1')
    expect(found[:speed]).to be_negative
    expect(found[:posts] - found[:feed] - found[:ground]).to be < starter.turns_from_volt
    expect(Wattomneum::Circuits::Questions::Workings.new(machine.settled).works?(machine.circuit.watch_of('M1:'), 'cranking')).to be(false)
  end

  it 'agrees with ngspice on both of its straight lines' do
    [fitted('start_24v', 24, 450.0), fitted('start_12v', 12, 600.0, celsius: -25.0, health_ratio: { 'A' => 0.3, 'B' => 0.3 })].each do |machine|
      expect_agreement_with_ngspice(machine.circuit, machine.settled.fetch('cranking'), 'cranking')
    end
  end

  it 'gives each battery its own charge and health, and a bank that is drawn as a box the sum of them' do
    machine = fitted('start_24v', 24, 450.0, charge_percent: { 'B' => 60.0 }, health_ratio: { 'B' => 0.5 })
    one, other = %w[BAT_A BAT_B].map { |id| machine.sheet.part(id).fields }
    expect([one['volt'], other['volt'] < one['volt'], other['ohm'] > 2 * one['ohm']]).to eq([12.65, true, true])
    box = fitted('fuel_pump', 24, 450.0).sheet.part('BAT').fields
    expect([box['volt'], box['ohm']]).to match([be_within(0.01).of(25.3), be_within(0.0001).of(2 * one['ohm'])])
  end

  it 'regulates lower in the heat and higher in the cold, by 3 mV a cell and degree, unless a control unit commands it' do
    volt = lambda do |celsius, **facts|
      sheet = Wattomneum::Circuits::Assembly.new(Wattomneum::Circuits::UsualSheets.for(series_pair(**facts))).sheet
      described_class.new(sheet, system: series_pair(**facts), celsius: celsius).sheet.part('G').fields['volt'].round(2)
    end
    expect([25.0, 45.0, -15.0].map(&volt)).to eq([28.4, 27.68, 29.84])
    expect(volt.call(-15.0, regulator: 'commanded')).to eq(28.4)
  end
end
