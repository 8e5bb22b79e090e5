# frozen_string_literal: true

# Rows to start from: a yard, units with batteries, jobs with readings.
module Rows
  def yard = @yard ||= another_yard
  def another_yard = Server::Models::Yard.create(name: "Yard #{SecureRandom.hex(3)}", time_zone: 'Europe/London')

  def unit_fields(**changes)
    { number: "U#{SecureRandom.hex(3)}", name: 'Spec bus', kind: 'bus', yard_id: yard.id, system_volt: 12, arrangement: 'parallel',
      battery_count: 2, usual_cranking_current_ampere: 600.0, alternator_rating_ampere: 120.0, has_isolator: true,
      has_sense: true, **changes }
  end

  def a_unit(batteries: true, **changes)
    unit = Server::Models::Unit.establish(id: SecureRandom.uuid, **unit_fields(**changes))
    unit.core_system.positions.each { |position| fit_battery(unit, position) } if batteries
    unit
  end

  def fit_battery(unit, position, **changes)
    label = { id: SecureRandom.uuid, tag: "T#{SecureRandom.hex(4)}", type: 'flooded', rating_ampere: 800.0, rating_standard: 'SAE',
              date_code: nil, **changes }
    battery = Server::Models::Battery.establish(label, on: Date.new(2026, 11, 1))
    Server::Models::Fitting.place(unit_id: unit.id, battery_id: battery.id, position: position, at: Time.now.utc - 86_400)
    battery
  end

  def job_fields(unit, **changes)
    { id: SecureRandom.uuid, unit_id: unit.id, symptom: { work: 'starting' }, complaint: 'Just clicks', **changes }
  end

  def open_job(unit = a_unit, **changes) = write(:post, '/api/jobs', job_fields(unit, **changes))

  ALL_SAID = { 'tested_alone' => 'yes', 'surface_charge_removed' => 'yes', 'battery_temperature_celsius' => 20,
               'value_confirmed' => 'yes' }.freeze

  def take(job_id, test_key, answer, position: nil, conditions: nil, **rest)
    said = conditions || (position ? ALL_SAID : { 'value_confirmed' => 'yes' })
    value = Wattomneum::Readings::Catalogue.fetch(test_key).observation? ? { observation: answer } : { value_text: answer.to_s }
    write(:post, "/api/jobs/#{job_id}/readings",
          { id: SecureRandom.uuid, test_key: test_key, position: position, conditions: said, **value, **rest })
  end

  # Over HTTP, by whoever is signed in, looking at it as it stands.
  def say_otherwise(fitted, item, field, says, why: 'Seen on the machine')
    now = read("/api/circuits/#{fitted.id}/facts?item=#{item.uuid}")['facts'].find { |fact| fact['field'] == field }
    write(:post, "/api/circuits/#{fitted.id}/own-facts", { item: item.uuid, field: field, was: now && now['says'], says: says, why: why })
  end

  def repair_fields(**changes)
    { id: SecureRandom.uuid, element: 'block_strap', cause: 'corrosion', action: 'cleaned', minutes: 20, temporary: false, **changes }
  end
end
