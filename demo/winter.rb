# frozen_string_literal: true

module Demo
  # The nights of two winters in every yard, and how units started after each, as it was told then, beside what was forecast then.
  class Winter
    MODELS = Server::Models
    CORE = Wattomneum
    HISTORY = CORE::ColdStart::History
    # From the first of November of last year on.
    FIRST_MONTH = 11
    # Nobody taps where it was mild, and not every unit is used every day.
    TOLD_UNDER_CELSIUS = 0.0
    USED_SHARE = 0.5
    private_constant :CORE, :HISTORY

    # @param hidden [Hash{Server::Models::Unit => CORE::Practice::Winter::Unit}] what each is on a cold morning
    # @param by [Server::Models::Account]
    # @param seed [Integer]
    # @param now [Time]
    def initialize(hidden, by:, seed:, now:)
      @hidden = hidden
      @by = by
      @random = Random.new(seed)
      @now = now
      @weather = Weather.new
    end

    # @return [void]
    def write
      MODELS::Yard.order(:name).each { |yard| winters_of(yard, @hidden.select { |unit, _| unit.yard_id == yard.id }) }
      MODELS::StartThreshold.hear_all(@hidden.keys.map(&:id))
      MODELS::FleetPrior.work_out
    end

    private

    # The last night is the coming one, of which only the forecast is known.
    def winters_of(yard, hidden)
      coming = MODELS::Night.dawns(@now).fetch(yard.id)
      nights = (Date.new(coming.year - 1, FIRST_MONTH, 1)..coming).reject { |dawn| dawn.month.between?(4, FIRST_MONTH - 1) }
                                                                  .to_h { |dawn| [dawn, @weather.night(yard.name, dawn)] }
      MODELS::Night.multi_insert(nights.map { |dawn, night| row(yard, dawn, night, measured: dawn < coming) })
      hidden.each { |unit, one| told(unit, one, nights.select { |dawn, night| dawn < coming && night.low < TOLD_UNDER_CELSIUS }) }
    end

    def row(yard, dawn, night, measured:)
      { yard_id: yard.id, dawn: dawn, low_celsius: night.forecast, day_before_celsius: night.day_before,
        measured_celsius: measured ? night.low : nil, source: 'weather', said_at: @now - 7200 }
    end

    # As the forecast learnt it from morning to morning.
    def told(unit, one, nights)
      threshold = MODELS::StartThreshold[unit.id] or return
      heard = HISTORY.new(threshold, capacity_ampere_hour: threshold.capacity_ampere_hour)
      heard.hear([HISTORY::Read.new(celsius: threshold.reading_celsius, variance: threshold.reading_variance)])
      used = nights.select { @random.rand < USED_SHARE }
      MODELS::Morning.multi_insert(used.map { |dawn, night| morning(unit, one.morning(night, 1), dawn, night, threshold, heard) })
    end

    def morning(unit, outcome, dawn, night, threshold, heard)
      known = heard.stored(@fleet ||= MODELS::FleetPrior.now)
      evening = CORE::ColdStart::Evening.of(known, capacity_ampere_hour: threshold.capacity_ampere_hour, low_celsius: night.forecast,
                                                          day_before_celsius: night.day_before)
      heard.hear([HISTORY::Dawn.new(outcome: outcome, low_celsius: night.low, day_before_celsius: night.day_before, day: dawn.jd)])
      { id: uuid, unit_id: unit.id, dawn: dawn, outcome: outcome, low_celsius: night.low, day_before_celsius: night.day_before,
        chance: evening.chance(night.forecast), own_celsius: evening.celsius, own_variance: evening.own_variance, person_id: @by.id,
        said_at: dawn.to_time.utc + (7 * 3600) }
    end

    def uuid
      hex = Random.new(@random.rand(2**62)).bytes(16).unpack1('H*')
      "#{hex[0, 8]}-#{hex[8, 4]}-4#{hex[13, 3]}-8#{hex[17, 3]}-#{hex[20, 12]}"
    end
  end
end
