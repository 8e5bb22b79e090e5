# frozen_string_literal: true

# Units and readings for core specs; none of the figures are the demo's.
module CoreFixtures
  def battery(tag, ampere: 800, standard: 'SAE', type: 'flooded')
    Wattomneum::Batteries::Battery.new(tag: tag, type: type,
                                       rating: Wattomneum::Batteries::Rating.new(ampere: ampere, standard: standard))
  end

  def parallel_pair(**changes)
    Wattomneum::Units::ElectricalSystem.new(
      system_volt: 12, arrangement: 'parallel', battery_count: 2, usual_cranking_current_ampere: 600.0,
      alternator_rating_ampere: 120.0, batteries: { 'A' => battery('left'), 'B' => battery('right') }, **changes
    )
  end

  def series_pair(**changes)
    Wattomneum::Units::ElectricalSystem.new(
      system_volt: 24, arrangement: 'series', battery_count: 2, usual_cranking_current_ampere: 400.0,
      alternator_rating_ampere: 80.0, batteries: { 'A' => battery('fore'), 'B' => battery('aft') }, **changes
    )
  end

  def externally_regulated = series_pair(regulator: 'external_b')

  def single_battery(**changes)
    Wattomneum::Units::ElectricalSystem.new(
      system_volt: 12, arrangement: 'single', battery_count: 1, usual_cranking_current_ampere: 400.0,
      alternator_rating_ampere: 65.0, has_isolator: false, has_sense: false, batteries: { 'A' => battery('only') }, **changes
    )
  end

  # @return [Wattomneum::Readings::Reading] with everything said that its test needs, unless told otherwise
  def reading(test_key, value = nil, system: parallel_pair, **rest)
    test = Wattomneum::Readings::Catalogue.fetch(test_key)
    @readings_made = @readings_made.to_i + 1
    rest = { conditions: all_said(test, system), taken_at: @readings_made, id: "#{test_key}-#{@readings_made}" }.merge(rest)
    rest[:battery] ||= system.batteries[rest[:position]] if rest[:position]
    value.is_a?(String) ? rest[:observation] = value : rest[:value] = value
    Wattomneum::Readings::Reading.new(test_key: test_key, **rest)
  end

  def all_said(test, system)
    figures = { 'posts_now_volt' => 12.6, 'battery_temperature_celsius' => 20, 'hours_rested' => 9, 'load_ampere' => 400, 'current_ampere' => 100,
                'voltage_across_volt' => 0.0 }
    beside = test.state == 'key_on' ? %w[load_on posts_now_volt] : %w[load_on]
    keys = test.required_conditions(system) + (test.asked_conditions(system) & beside) + %w[value_confirmed]
    keys.to_h { |key| [key, figures.fetch(key, 'yes')] }.except('reversed_ohm')
  end

  # Judges the last of the readings in the light of the ones before it.
  def judge(*readings, system: parallel_pair)
    assess(readings, system: system).judgements.fetch(readings.last.id)
  end

  def assess(readings, system: parallel_pair, **rest)
    Wattomneum::Faults::Assessment.new(system: system, readings: readings, machine: usual_machine(system), **rest)
  end

  # The usual circuit of a unit, put together once for all specs.
  MADE = Hash.new # rubocop:disable Style/EmptyLiteral -- filled as specs ask
  private_constant :MADE

  def usual_machine(system)
    facts = system.instance_variables.map { |name| [name, system.instance_variable_get(name).inspect.gsub(/0x\h+/, '')] }
    MADE[facts] ||= Wattomneum::Circuits::UsualSheets.machine(system)
  end

  # A unit whose batteries, posts and behaviour are known: the ground work of the cranking specs.
  def ground_work(behaviour:, cranking_volt:, system: parallel_pair)
    batteries = system.positions.flat_map do |position|
      [reading('rest_voltage', 12.62, system: system, position: position),
       reading('battery_test', 790.0, system: system, position: position)]
    end
    rest = system.series? ? 25.2 : 12.6
    [reading('cranking_behaviour', behaviour, system: system), reading('connections_look', 'clean', system: system), *batteries,
     reading('posts_rest', rest, system: system), reading('posts_cranking', cranking_volt, system: system)]
  end
end
