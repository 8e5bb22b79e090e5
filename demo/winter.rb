# frozen_string_literal: true

module Demo
  # The nights of this autumn in every yard, and how units started after each: hidden units of the core's own winters, with the labels and the
  # health that the fleet's have.
  class Winter
    MODELS = Server::Models
    WINTER = Wattomneum::Practice::Winter
    DAY = 86_400
    DAWNS = 18
    USED_SHARE = 0.8

    # @param units [Hash{Server::Models::Unit => Hash}] with its row of fleet.yml and its story's health
    # @param by [Server::Models::Account]
    # @param seed [Integer]
    # @param now [Time]
    def initialize(units, by:, seed:, now:)
      @units = units
      @by = by
      @random = Random.new(seed)
      @now = now
      @weather = Weather.new
    end

    # @return [void]
    def write
      hidden = @units.to_h { |unit, facts| [unit, WINTER::Unit.new(Random.new(@random.rand(2**31)), known: known(unit, facts))] }
      MODELS::Yard.order(:name).each { |yard| winter_of(yard, hidden.select { |unit, _| unit.yard_id == yard.id }) }
    end

    private

    def known(unit, facts)
      ampere = facts[:rating].sae_ampere * (unit.arrangement == 'parallel' ? unit.battery_count : 1)
      WINTER::Unit::Known.new(batteries: unit.system_volt / 12, rating_ampere: ampere, health: facts[:health], heat_aid: unit.heat_aid,
                              control_unit: unit.control_unit)
    end

    # The last night is the coming one, of which only the forecast is known.
    def winter_of(yard, hidden)
      coming = MODELS::Night.dawns(@now).fetch(yard.id)
      (0..DAWNS).each do |at|
        dawn = coming - (DAWNS - at)
        night = @weather.night(yard.name, dawn)
        tell(yard, dawn, night, measured: at < DAWNS)
        start(hidden, dawn, night) if at < DAWNS
      end
    end

    def tell(yard, dawn, night, measured:)
      MODELS::Night.create(yard_id: yard.id, dawn: dawn, low_celsius: night.forecast, day_before_celsius: night.day_before,
                           measured_celsius: measured ? night.low : nil, source: 'weather', said_at: @now - 7200)
    end

    def start(hidden, dawn, night)
      used = hidden.select { |_, _| @random.rand < USED_SHARE }
      entries = used.map { |unit, one| { unit_id: unit.id, outcome: one.morning(night, 1) } }
      MODELS::Morning.enter(entries, dawn: dawn, by: @by) if entries.any?
    end
  end
end
