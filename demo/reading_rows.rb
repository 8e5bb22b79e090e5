# frozen_string_literal: true

module Demo
  # Readings of a simulated unit as rows, judged with each other.
  class ReadingRows
    CORE = Wattomneum

    # @param unit [Server::Models::Unit]
    # @param batteries [Hash{String => Server::Models::Battery}] by position
    # @param by [Server::Models::Account]
    # @param system [CORE::Units::ElectricalSystem]
    # @param whole [Server::Queries::Machines::Whole, nil] its circuit
    def initialize(unit, batteries:, by:, system:, whole:)
      @unit = unit
      @batteries = batteries
      @by = by
      @system = system
      @whole = whole
    end

    # In one statement each: a fleet has thousands.
    #
    # @param readings [Array<Array(CORE::Readings::Reading, Time)>]
    # @param job [Server::Models::Job, nil]
    # @return [void]
    def keep(readings, job:)
      readings.map { |reading, time| row(reading, time, job) }.group_by(&:keys).each_value { |rows| Server::Models::Reading.multi_insert(rows) }
      points, tests = readings.map(&:first).partition { |reading| reading.is_a?(CORE::Readings::PointReading) }
      judgements = CORE::Faults::Assessment.new(system: @system, readings: tests, points: points, machine: @whole.machine).judgements
      Server::Models::Judgement.multi_insert(readings.map { |reading, time| judged(judgements.fetch(reading.id), time) })
    end

    private

    def judged(judgement, time)
      { reading_id: judgement.reading_id, verdict: judgement.verdict, validity: judgement.validity, weight: judgement.weight, made_at: time,
        snapshot: Sequel.pg_jsonb(judgement.to_h.transform_keys(&:to_s)), core_version: CORE::VERSION }
    end

    def row(reading, time, job)
      { id: reading.id, unit_id: @unit.id, job_id: job&.id, person_id: @by.id, value: reading.value, observation: reading.observation,
        overload: reading.overload, value_text: reading.overload ? 'OL' : (reading.value || reading.spoken).to_s, instrument: reading.instrument,
        conditions: Sequel.pg_jsonb(reading.conditions.to_h), repairs_before: reading.round, taken_at: time, received_at: time,
        **(reading.is_a?(CORE::Readings::PointReading) ? between(reading) : tested(reading)) }
    end

    def tested(reading)
      test = reading.test
      { battery_id: reading.position && @batteries.fetch(reading.position).id, from_place_id: place(test.from), to_place_id: place(test.to),
        test_key: test.key, quantity: test.quantity, position: reading.position, cells: Sequel.pg_array(reading.cells, :float8),
        unit_symbol: test.units.first, state: reading.state }
    end

    def place(key) = key && Server::Models::Place.named(@unit.id, key).id

    def between(reading)
      from, to = [reading.probe.from, reading.probe.to].map do |node|
        Server::Models::Place.at(@unit.id, @whole.machine.points.at(node), @whole.machine.sheet).id
      end
      { from_place_id: from, to_place_id: to, measured_by: reading.probe.by, quantity: reading.way.quantity, unit_symbol: reading.unit,
        state: reading.probe.situation }
    end
  end
end
