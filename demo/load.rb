# frozen_string_literal: true

# Loads the demo fleet into an empty database. Seeded: the same day gives the same fleet.
require 'yaml'
require_relative '../server/boot'
require_relative 'charging'
require_relative 'grounds'
require_relative 'history'
require_relative 'otherwise'
require_relative 'engines'
require_relative 'reading_rows'
require_relative 'shelf'
require_relative 'traces'
require_relative 'weather'
require_relative 'winter'
require_relative 'workshop'

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
        hidden = rows.each_with_index.to_h { |row, index| load_unit(row, yards, people, SEED + index) }
        Winter.new(hidden.compact, by: people.fetch('electrician'), seed: SEED, now: Time.now.utc).write
        parts
        ground_rounds(people.fetch('electrician'))
        charging_sessions(people.fetch('electrician'))
        traces(hidden.transform_keys(&:number), people.fetch('electrician'))
        notices(people.fetch('electrician'))
        Otherwise.new(@plan.fetch('otherwise'), by: people.fetch('electrician')).write
        Workshop.new(@plan, by: people.fetch('electrician'), now: @now).write
        Engines.new(@plan, people: people, now: @now).write
        Shelf.new(@plan.fetch('spares'), moves: @plan.fetch('moves'), by: people.fetch('electrician'), now: @now).write
        MODELS::UnitStanding.work_out(MODELS::Unit.select_map(:id))
      end
      self
    end

    private

    # Those with a story of their own, and their sister units.
    def rows = @plan['units'] + @plan['sisters'].flat_map { |row| sisters(row) }

    def sisters(row)
      like = @plan['units'].find { |unit| unit['number'] == row['like'] }
      row['numbers'].each_with_index.map do |number, index|
        story = row['stories'][index % row['stories'].size]
        { **like, **row.fetch('facts', {}), 'number' => number, 'yard' => row['yards'][index % row['yards'].size], 'story' => story }
      end
    end

    def load_people
      digest = Server::Passwords.digest(PASSWORD)
      @plan['people'].to_h { |row| [row['role'], MODELS::Account.create(**row.transform_keys(&:to_sym), password_hash: digest)] }
    end

    def load_unit(row, yards, people, seed)
      id = format('00000000-0000-4000-8000-%012d', seed)
      volt = row['arrangement'] == 'series' ? 24 : 12
      unit = MODELS::Unit.establish(
        id: id, number: row['number'], name: row['name'], kind: row['kind'], make: row['make'], model: row['model'],
        yard_id: yards.fetch(row['yard']), system_volt: volt,
        arrangement: row['arrangement'], battery_count: row['count'], usual_cranking_current_ampere: row['amps']&.to_f,
        alternator_rating_ampere: row['alternator']&.to_f, has_isolator: row.fetch('isolator', true), has_sense: row.fetch('sense', true),
        heat_aid: row.fetch('heat_aid', true), matters: row.fetch('matters', 'usual'),
        exposure: row.fetch('exposure', 'dry'), control_unit: %w[truck bus].include?(row['kind']), automatic_start: row.fetch('automatic', false)
      )
      batteries = fit_batteries(unit, row)
      fit_sheets(unit, row['sheets'] || [])
      hidden = hidden(unit, row, seed)
      History.new(unit: unit, batteries: batteries, story: story(row), people: people, hidden: hidden, seed: seed, now: @now).write
      MODELS::StartThreshold.work_out(unit)
      [unit, hidden]
    end

    def ground_rounds(person)
      @plan.fetch('ground_rounds').each_with_index do |row, index|
        Grounds.new(unit_numbered(row['unit']), by: person, days: row['days'], seed: SEED + index, now: @now).write
      end
    end

    def parts
      @plan.fetch('parts').each do |row|
        asset = { id: SecureRandom.uuid, note: '', **row.slice('tag', 'note').transform_keys(&:to_sym), rating: row['rating'].to_f }
        next MODELS::Asset.establish({ **asset, kind: row['kind'] }) if row['kind']

        unit = unit_numbered(row['unit'])
        place = Server::Queries::UnitAssets.new(unit).places.find(row['place'])
        MODELS::AssetFitting.fit(unit, place, { asset: asset }, at: @now - (row['days'] * History::DAY))
      end
    end

    def charging_sessions(person)
      @plan.fetch('charging').each_with_index do |row, index|
        Charging.new(unit_numbered(row['unit']), by: person, yearly_volt: row['yearly_volt'], dash_volt: row['dash_volt'], seed: SEED + index,
now: @now).write
      end
    end

    def traces(hidden, person)
      @plan.fetch('traces').each do |row|
        Traces.new(unit_numbered(row['unit']), hidden: hidden.fetch(row['unit']), by: person, now: @now).write(row['starts'],
                                                                                                               cylinders: row['cylinders'])
      end
    end

    def unit_numbered(number) = MODELS::Unit.where(number: number).eager(:yard).all.first

    def notices(person)
      @plan.fetch('noticed').each do |row|
        MODELS::Notice.create(id: SecureRandom.uuid, unit_id: MODELS::Unit.first(number: row['unit']).id, person_id: person.id,
                              noticed_at: @now - (row['days'] * History::DAY), until: row['until'] && (@now.to_date - row['until']),
                              **row.slice('what', 'place', 'severity', 'suspects').transform_keys(&:to_sym))
      end
    end

    def story(row) = @plan['stories'].fetch(row['story'])

    # What it is on a cold morning, by label and health; nil where nothing cranks it.
    def hidden(unit, row, seed)
      return unless unit.usual_cranking_current_ampere && row['battery']

      ampere, standard = row['battery']
      rated = Wattomneum::Batteries::Rating.new(ampere: ampere.to_f, standard: standard).sae_ampere
      known = Wattomneum::Practice::Winter::Unit::Known.new(
        batteries: unit.system_volt / 12, heat_aid: unit.heat_aid, control_unit: unit.control_unit,
        rating_ampere: rated * (unit.arrangement == 'parallel' ? unit.battery_count : 1), health: story(row).fetch('health', History::END_HEALTH)
      )
      Wattomneum::Practice::Winter::Unit.new(Random.new(seed), known: known)
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
