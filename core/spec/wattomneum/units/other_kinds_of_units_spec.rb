# frozen_string_literal: true

# What 6 V, 48 V, converters, grounds of the other side and equalisers change in what is judged (handbook on judging, common practice).
RSpec.describe Wattomneum::Units do
  def six_volt(**changes) = single_battery(system_volt: 6, batteries: { 'A' => battery('six', ampere: 640) }, **changes)
  def pack(**changes) = single_battery(system_volt: 48, batteries: { 'A' => battery('pack', **changes) })

  names = ['6 V', '48 V', 'a lithium pack', 'a converter', 'a positive ground', 'an insulated return', 'an equaliser']

  def kinds
    { '6 V' => six_volt, '48 V' => pack, 'a lithium pack' => pack(type: 'lithium'), 'a converter' => series_pair(regulator: 'dc_dc'),
      'a positive ground' => parallel_pair(grounding: 'positive'), 'an insulated return' => series_pair(grounding: 'insulated'),
      'an equaliser' => series_pair(has_equaliser: true) }
  end

  it 'halve every volt of 12 V on 6 V, and none of what is no volt' do
    twelve, six = [12, 6].map { |volt| Wattomneum::Limits::Table.shipped.to_a.select { |row| row.system_volt == volt } }
    expect(six.to_h { |row| [row.id, row.value] }).to eq(twelve.to_h { |row| [row.id, row.value / 2] })
    expect(six.map(&:source)).to all(start_with('half of the 12 V figure'))
    expect(Wattomneum::Limits::Table.shipped.fetch('battery.charge_least', system_volt: 6).value).to eq(75)
  end

  # Common practice, from memory: a full 6 V battery of three cells rests at about 6.3 V, and holds 4.8 V under half its rating at 21 degC.
  it 'reads a 6 V battery as three of the six cells that the tables are printed for' do
    full = judge(reading('rest_voltage', 6.32, system: six_volt, position: 'A'), system: six_volt)
    half = judge(reading('rest_voltage', 6.12, system: six_volt, position: 'A'), system: six_volt)
    expect([full.verdict, full.figures[:charge_percent].round, half.figures[:charge_percent].round]).to eq(['sound', 99, 50])
    rest = reading('rest_voltage', 6.32, system: six_volt, position: 'A')
    loads = [4.95, 4.65].map { |volt| judge(rest, reading('load_test', volt, system: six_volt, position: 'A', conditions: warm), system: six_volt) }
    expect(loads.map(&:verdict)).to eq(%w[sound act])
  end

  def warm
    { 'battery_temperature_celsius' => 21, 'surface_charge_removed' => 'yes', 'load_ampere' => 320, 'value_confirmed' => 'yes' }
  end

  it 'asks three cells of a 6 V battery' do
    hydrometer = Wattomneum::Readings::Catalogue.fetch('hydrometer')
    expect([six_volt, parallel_pair].map { |system| hydrometer.cells(system) }).to eq([3, 6])
  end

  it 'judges no posts and no charging of 48 V by lead and acid, but its drops as ever' do
    at_rest = judge(reading('posts_rest', 44.0, system: pack), system: pack)
    charging = judge(reading('charging_fast_idle', 58.0, system: pack), system: pack)
    drop = judge(reading('cranking_behaviour', 'slow', system: pack), reading('ground_drop', 2.0, system: pack), system: pack)
    expect([at_rest.code, charging.code, drop.verdict]).to eq(['battery.pack', 'charging.setpoint_decides', 'act'])
  end

  it 'goes by the setpoint of a converter, and calls no rise onto a lead-acid battery no charging' do
    system = series_pair(regulator: 'dc_dc')
    said = ->(volt) { all_said(Wattomneum::Readings::Catalogue.fetch('charging_fast_idle'), system).merge('setpoint_volt' => volt) }
    verdicts = [27.4, 26.0].map do |volt|
      judge(reading('charging_fast_idle', volt, system: system, conditions: said.call(27.6)), system: system).verdict
    end
    dead = judge(reading('posts_rest', 25.2, system: system), reading('charging_fast_idle', 25.1, system: system), system: system)
    expect([verdicts, dead.code]).to eq([%w[sound act], 'charging.no_rise'])
    expect(Wattomneum::Readings::Catalogue.for(system).map(&:key)).to not_include('belt_look', 'charge_lamp_running', 'alternator_output')
  end

  it 'takes nothing from the half of a bank while its equaliser was on, or nobody said that it was off' do
    system = series_pair(has_equaliser: true)
    said = all_said(Wattomneum::Readings::Catalogue.fetch('rest_voltage'), system)
    judged = %w[no not_said yes].map do |off|
      judge(reading('rest_voltage', 12.2, system: system, position: 'A', conditions: said.merge('equaliser_off' => off)), system: system)
    end
    expect(judged.map(&:validity)).to eq(%w[void unstated approximate])
    expect { parallel_pair(has_equaliser: true) }.to raise_error(Wattomneum::InvalidQuantityError, /equaliser hangs on the middle/)
  end

  it 'says beside the step what this kind of unit asks of the hand' do
    touched = Wattomneum::Safety::Cautions.fetch_all(%w[batteries])
    said = kinds.transform_values { |system| Wattomneum::Safety::Cautions.on(touched, system).map(&:id) - %w[batteries] }
    expect(said).to eq('6 V' => [], '48 V' => %w[pack], 'a lithium pack' => %w[lithium pack], 'a converter' => [],
                       'a positive ground' => %w[positive_ground], 'an insulated return' => %w[insulated_return], 'an equaliser' => %w[equaliser])
  end

  # Whatever is typed, an answer comes: no figure is missing for any test of any kind of unit.
  names.each do |name|
    it "has an answer to every reading of every test on #{name}" do
      system = kinds.fetch(name)
      random = Random.new(7)
      Wattomneum::Readings::Catalogue.for(system).each do |test|
        3.times { expect(some_answer(test, system, random)).to be_a(Wattomneum::Evidence::Judgement) }
        expect(test.answers(system)).to be_a(Array) unless Wattomneum::Evidence::OtherKinds.instead(test, system)
      end
    end
  end

  def some_answer(test, system, random)
    value = test.observation? ? test.choices.sample(random: random)['key'] : random.rand(0.0..(system.system_volt * 1.3))
    cells = test.cells(system) > 1 ? { cells: Array.new(test.cells(system)) { random.rand(1.1..1.3) } } : {}
    position = test.per_battery? ? { position: 'A' } : {}
    before = %w[posts_rest posts_cranking].map { |key| reading(key, random.rand(0.0..(system.system_volt * 1.1)), system: system) }
    judge(*before, reading(test.key, value, system: system, **cells, **position), system: system)
  end
end
