# frozen_string_literal: true

module Demo
  # Charging sessions of a unit through two winters: one regulator holds, another drifts.
  class Charging
    CORE = Wattomneum
    DAY = 86_400
    DAYS_AGO = [695, 505, 345, 170, 38].freeze
    YEAR_DAYS = 365.0
    # At 25 degC and per 12 V, two winters ago.
    REGULATED_VOLT = 14.3
    WARM = { 'heater_cycle_over' => 'yes', 'speed_as_stated' => 'yes', 'batteries_up' => 'yes', 'belt_looked_at' => 'yes' }.freeze
    private_constant :DAY, :DAYS_AGO, :YEAR_DAYS, :REGULATED_VOLT, :WARM

    # @param unit [Server::Models::Unit]
    # @param by [Server::Models::Account]
    # @param yearly_volt [Float] by which its regulated voltage moves in a year, at 12 V
    # @param dash_volt [Float] by which its dash gauge is off, at 12 V
    # @param seed [Integer]
    # @param now [Time]
    def initialize(unit, by:, yearly_volt:, dash_volt:, seed:, now:)
      @unit = unit
      @by = by
      @yearly_volt = yearly_volt
      @dash_volt = dash_volt
      @random = Random.new(seed)
      @now = now
    end

    # @return [void]
    def write
      DAYS_AGO.each { |days| session(days) }
    end

    private

    def circuits = @circuits ||= Server::Queries::UnitCircuits.new(@unit.id)
    def blocks = circuits.system.blocks_in_series
    def rows = @rows ||= ReadingRows.new(@unit, batteries: {}, by: @by, system: circuits.system, whole: circuits.whole)

    def session(days)
      time = @now - (days * DAY) - @random.rand(9000)
      celsius = (7 + (6 * Math.sin(days / 58.0))).round
      rows.keep(figures(days, celsius).map { |key, volt| [reading(key, volt, celsius, time += 240), time] }, job: nil)
    end

    def figures(days, celsius)
      fast = REGULATED_VOLT + (@yearly_volt * (DAYS_AGO.first - days) / YEAR_DAYS) + (-0.018 * (celsius - 25)) + off(0.03)
      { 'posts_rest' => 12.62 + off(0.03), 'posts_heater' => 11.85 + off(0.08), 'charging_idle' => 13.5 + off(0.1), 'charging_fast_idle' => fast,
        'dash_gauge' => fast + @dash_volt, 'charging_loaded' => fast - 0.2 + off(0.05), 'charging_hot' => fast - 0.35 + off(0.04) }
    end

    def off(volt) = volt * ((2 * @random.rand) - 1)

    def reading(key, volt, celsius, time)
      test = CORE::Readings::Catalogue.fetch(key)
      asked = test.asked_conditions(circuits.system)
      warm = key == 'charging_hot' ? celsius + 18 : celsius
      said = WARM.merge('battery_temperature_celsius' => warm.to_f).slice(*asked)
      CORE::Readings::Reading.new(id: SecureRandom.uuid, test_key: key, value: (volt * blocks).round(2), conditions: said, state: test.state,
                                  taken_at: time)
    end
  end
end
