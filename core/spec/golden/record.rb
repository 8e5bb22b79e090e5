# frozen_string_literal: true

# record.rb: writes jobs.json anew from the simulated units. Run once, before the redesign; the file is evidence from then on.
require 'rspec/core'
require 'rspec/expectations'
require 'rspec/matchers'
require_relative '../spec_helper'
require_relative 'golden_jobs'

# Lets a simulated technician work, then takes every other test once.
class GoldenRecorder
  include CoreFixtures

  FAULTS = {
    'starting' => [['block_strap', 'resistance', [0.09, 0.02, 0.004]], ['negative_cable', 'resistance', [0.08, 0.006]],
                   ['isolator', 'resistance', [0.05, 0.005]], ['positive_clamp', 'resistance', [0.06]], ['starter_cable', 'resistance', [0.07]],
                   ['starter_mount', 'resistance', [0.05]], ['positive_cable', 'resistance', [0.1]], ['starter', 'open', [0]],
                   ['signal_wire', 'resistance', [4.0]], ['engine', 'locked', [0]], ['battery', 'weak', [0.3, 0.62], 'A'],
                   ['battery', 'flat', [30.0], 'A'], [nil]],
    'charging' => [['alternator', 'dead', [0]], ['excitation_wire', 'dead', [0]], ['output_cable', 'dead', [0]], ['belt', 'dead', [0]],
                   ['sense_wire', 'resistance', [0.9]], [nil]]
  }.freeze
  SYSTEMS = %w[parallel_pair series_pair single_battery].freeze
  CELSIUS = [-12.0, 5.0, 20.0].freeze
  JOBS = 500

  def initialize
    @conditions = []
    @words = []
  end

  def call
    jobs = cases.cycle.each_with_index.lazy.filter_map { |one, index| job(*one, index) }.first(JOBS)
    parts = { conditions: JSON.generate(@conditions), words: JSON.generate(@words), jobs: "[\n#{jobs.map do |one|
      JSON.generate(one)
    end.join(",\n")}\n]" }
    File.write(GoldenJobs::PATH, "{#{parts.map { |name, text| "\"#{name}\": #{text}" }.join(",\n")}}\n")
  end

  private

  def cases
    FAULTS.flat_map do |family, faults|
      faults.flat_map do |element, kind, amounts, position|
        (amounts || [nil]).product(SYSTEMS).map { |amount, system| [family, element, kind, amount, position, system] }
      end
    end
  end

  def job(family, element, kind, amount, position, system_name, seed)
    system = public_send(system_name)
    return if element && !there?(system, element)

    fault = element && Wattomneum::Simulation::Fault.new(element: element, kind: kind, amount: amount, position: position)
    unit = Wattomneum::Simulation::SimulatedUnit.new(system: system, faults: [fault].compact, seed: seed, temperature_celsius: CELSIUS[seed % 3])
    technician = Wattomneum::Simulation::Technician.new(unit, symptom: Wattomneum::Jobs::Symptom.of(family))
    technician.work
    worked = technician.events.size
    take_the_rest(technician, unit) if (seed % 3).zero?
    { system: system_name, family: family, fault: [element, kind, amount, position].compact.join(' '),
      rows: rows(technician, system, family, worked), ladders: GoldenJobs.ladders(technician.assessment),
      missing: technician.assessment.missing_to_close }
  end

  def there?(system, element)
    (element != 'isolator' || system.has_isolator) && (element != 'sense_wire' || system.has_sense)
  end

  def take_the_rest(technician, unit)
    left = Wattomneum::Readings::Catalogue.for(unit.system).flat_map { |test| test.per_battery? ? unit.system.positions.map { |at| [test.key, at] } : [[test.key, nil]] }
    (left - technician.readings.map { |one| [one.test_key, one.position] }).each do |key, at|
      step = Wattomneum::Faults::Step.new(kind: 'measure', test_key: key, position: at, minutes: 1)
      technician.send(:take, step)
    rescue Wattomneum::UnknownKeyError, KeyError
      next
    end
  end

  # Judged again step by step, as the job saw it; no step was asked for after the rest.
  def rows(technician, system, family, worked)
    readings = []
    repairs = []
    technician.events.each_with_index.map do |event, index|
      event.repair ? repairs << event.repair : readings << event.reading
      assessment = Wattomneum::Faults::Assessment.new(system: system, readings: readings.dup, repairs: repairs.dup, symptom: Wattomneum::Jobs::Symptom.of(family))
      following = index < worked ? word(GoldenJobs.step(assessment.next_step)) : nil
      event.repair ? mended(event.repair, readings, following) : read(event.reading, assessment, following)
    end
  end

  def mended(repair, readings, following)
    ['mend', repair.element, repair.position, readings.index { |one| one.id == repair.failing_reading_id }, following]
  end

  def read(one, assessment, following)
    judgement = Wattomneum::Evidence::Judging.call(one, assessment.circumstances)
    [word(one.test_key), one.position, one.value, one.observation, one.cells, place(@conditions, one.conditions.to_h), one.state,
     word(GoldenJobs.judged(judgement)), following]
  end

  def word(text) = place(@words, text)
  def place(list, one) = list.index(one) || ((list << one).size - 1)
end

GoldenRecorder.new.call
