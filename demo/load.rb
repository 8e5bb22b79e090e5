# frozen_string_literal: true

# Loads the demo fleet into an empty database. Seeded: the same day gives the same fleet.
require 'yaml'
require_relative '../server/boot'
require_relative 'history'
require_relative 'weather'
require_relative 'winter'

module Demo
  PASSWORD = 'skarrow-fell'
  SEED = 20_261

  # Builds people, yards, units, batteries and their history.
  class Fleet
    MODELS = Server::Models

    # The fleet as it stood at the last twenty to eight in the morning: nothing in it is yet to come.
    # @param now [Time]
    def initialize(now: Time.now.utc)
      morning = Time.utc(now.year, now.month, now.day, 7, 40)
      @now = morning > now ? morning - History::DAY : morning
      @plan = YAML.safe_load_file(File.join(__dir__, 'fleet.yml'))
    end

    # @return [Fleet, nil] nil when the database already holds units
    def load_if_empty
      return if MODELS::Unit.any?

      Server::DB.transaction do
        MODELS::Sheet.bring_in_shipped
        people = load_people
        yards = @plan['yards'].to_h { |name| [name, MODELS::Yard.create(name: name, time_zone: 'Europe/London').id] }
        units = @plan['units'].each_with_index.to_h { |row, index| [load_unit(row, yards, people, SEED + index), row] }
        Winter.new(cranked(units), by: people.fetch('electrician'), seed: SEED, now: Time.now.utc).write
      end
      self
    end

    private

    def load_people
      digest = Server::Passwords.digest(PASSWORD)
      @plan['people'].to_h { |row| [row['role'], MODELS::Account.create(**row.transform_keys(&:to_sym), password_hash: digest)] }
    end

    def load_unit(row, yards, people, seed)
      id = format('00000000-0000-4000-8000-%012d', seed)
      volt = row['arrangement'] == 'series' ? 24 : 12
      unit = MODELS::Unit.establish(
        id: id, number: row['number'], name: row['name'], kind: row['kind'], yard_id: yards.fetch(row['yard']), system_volt: volt,
        arrangement: row['arrangement'], battery_count: row['count'], usual_cranking_current_ampere: row['amps']&.to_f,
        alternator_rating_ampere: row['alternator']&.to_f, has_isolator: row.fetch('isolator', true), has_sense: row.fetch('sense', true),
        heat_aid: row.fetch('heat_aid', true), control_unit: %w[truck bus].include?(row['kind'])
      )
      batteries = fit_batteries(unit, row)
      fit_sheets(unit, row['sheets'] || [])
      History.new(unit: unit, batteries: batteries, story: @plan['stories'].fetch(row['story']), people: people,
                  seed: seed, now: @now).write
      unit
    end

    # Those with a starter, by label and health.
    def cranked(units)
      units.select { |unit, row| unit.usual_cranking_current_ampere && row['battery'] }.to_h do |unit, row|
        ampere, standard = row['battery']
        health = @plan['stories'].fetch(row['story']).fetch('health', History::END_HEALTH)
        [unit, { rating: Wattomneum::Batteries::Rating.new(ampere: ampere.to_f, standard: standard), health: health }]
      end
    end

    def fit_sheets(unit, keys)
      keys.each { |key| MODELS::UnitSheet.fit(unit, MODELS::SheetVersion.newest_of(key), at: @now - (700 * History::DAY)) }
    end

    def fit_batteries(unit, row)
      ampere, standard, type = row['battery'] || []
      unit.core_system.positions.to_h do |position|
        label = { tag: "#{row['number'].delete('-')}-#{position}", type: type, rating_ampere: ampere.to_f, rating_standard: standard,
                  capacity_ampere_hour: (ampere / 8.0).round.to_f, date_code: 'J24' }
        battery = MODELS::Battery.establish(label, on: @now.to_date)
        MODELS::Fitting.place(unit_id: unit.id, battery_id: battery.id, position: position, at: @now - (720 * History::DAY))
        [position, battery]
      end
    end
  end
end

if $PROGRAM_NAME == __FILE__
  puts Demo::Fleet.new.load_if_empty ? 'Demo fleet loaded: Skarrow Fell Works' : 'The database holds units already: demo fleet not loaded'
end
