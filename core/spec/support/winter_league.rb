# frozen_string_literal: true

# Two winters of hidden units, and ways of choosing which of them to visit each evening of the second one, or of the first. A visited unit starts
# for a week, whatever it is.
class WinterLeague
  FORECAST = Wattomneum::ColdStart
  WINTER = Wattomneum::Practice::Winter
  SEEN = WINTER::Unit::Seen
  GOOD_DAYS = 7
  CAPACITY = 180.0
  UNTESTED_SHARE = 0.15
  SUMMER_DAYS = 270
  FIRST_WEEK = 7
  # Visits an evening at which claims are kept, and taps alone are tried too.
  CLAIMED_VISITS = 10
  # How many evenings of a failure make a unit one that failed lately.
  LATELY = 14
  # The lists by which a yard goes, worst first, from what was seen in autumn.
  RIVALS = { 'lowest cranking posts' => ->(seen, batteries) { seen.posts_volt / batteries },
             'lowest rest volts' => ->(seen, batteries) { seen.rest_volt / batteries },
             'lowest tester share' => ->(seen, _) { seen.tester_ratio }, 'oldest' => ->(seen, _) { -seen.age_years } }.freeze
  # Said and what happened, of one unit on one morning; night: which of all leagues' nights it was.
  Claim = Struct.new(:chance, :failed, :week, :winter, :night, keyword_init: true)
  # A hidden unit of Practice::Winter, of whose mornings one in fifty is tapped wrong.
  class Practised < WINTER::Unit
    def initialize(random)
      super
      @taps = Random.new(random.rand(1_000_000))
    end

    def morning(night, nights_parked)
      outcome = super
      [outcome, @taps.rand < 0.02 ? %w[started slow failed].sample(random: @taps) : outcome]
    end
  end

  attr_reader :claims

  # @param world [Class] of the hidden units
  def initialize(seed, world: Practised, units: 300, mornings: 60)
    @seed = seed
    @random = Random.new(seed)
    @units = Array.new(units) { world.new(@random) }
    @tested = @units.map { @random.rand > UNTESTED_SHARE }
    @claims = []
    @winters = Array.new(2) do |winter|
      seen = @units.map { |unit| unit.seen(@random.rand(2.0..18.0)) }
      nights = WINTER::Nights.of(mornings, @random)
      parked = @units.map { parked(mornings) }
      told = @units.each_index.map { |unit| nights.each_with_index.map { |night, at| @units[unit].morning(night, parked[unit][at]) } }
      { seen: seen, nights: nights, parked: parked, mornings: told, first_day: winter * (mornings + SUMMER_DAYS) }
    end
  end

  # @param winter [Integer] 0: of a fleet without a past; 1: of one with the winter before
  # @return [Hash{String => Float}] no-starts avoided, of all that there would have been, by way of choosing
  def avoided(visits, winter: 1)
    by_chance = ->(evening, open) { open.max_by(visits) { |unit| chance(unit, evening) } }
    taps = visits == CLAIMED_VISITS ? { 'taps only' => season(winter, readings: false, &by_chance) } : {}
    { **taps, 'forecast' => season(winter, keep: visits == CLAIMED_VISITS, &by_chance),
      'failed lately, then posts' => season(winter, learns: false) { |evening, open| open.min_by(visits) { |unit| lately(unit, evening) } },
      'oracle' => season(winter, learns: false) { |evening, open| open.min_by(visits) { |unit| fails_in(unit, evening) } },
      'random' => season(winter, learns: false) { |_, open| open.sample(visits, random: Random.new(visits)) } }
      .merge(RIVALS.transform_values { |by| season(winter, learns: false) { |_, open| by_list(open, visits, by) } })
  end

  private

  def by_list(open, visits, by) = open.min_by(visits) { |unit| by.call(@seen[unit], @units[unit].batteries) }

  def parked(mornings)
    nights = 0
    Array.new(mornings) { nights = @random.rand < 0.7 ? 1 : nights + 1 }
  end

  def failed?(unit, evening) = @mornings[unit][evening].first == 'failed'

  # An oracle that leaves no visit unused: who fails soonest, and of those who fails most often within the week that a visit is good for.
  def fails_in(unit, evening)
    week = (evening...[evening + GOOD_DAYS, @nights.size].min)
    [week.find { |night| failed?(unit, night) } || @nights.size, -week.count { |night| failed?(unit, night) }]
  end

  def lately(unit, evening)
    recent = ([evening - LATELY, 0].max...evening).select { |night| @told[unit].include?(night) && @mornings[unit][night].last == 'failed' }
    [-(recent.last || -1), @seen[unit].posts_volt / @units[unit].batteries]
  end

  def season(winter, learns: true, readings: true, keep: false)
    begin_winter(winter, learns: learns, readings: readings)
    good_until = Array.new(@units.size, -1)
    avoided = total = 0
    @nights.each_index do |evening|
      open = @units.each_index.select { |unit| good_until[unit] < evening }
      yield(evening, open).each { |unit| good_until[unit] = evening + GOOD_DAYS - 1 }
      failed = @units.each_index.select { |unit| failed?(unit, evening) }
      total += failed.size
      avoided += failed.count { |unit| good_until[unit] >= evening }
      learn(evening, good_until, keep: keep && winter, learns: learns)
    end
    avoided.fdiv([total, 1].max)
  end

  def begin_winter(winter, learns:, readings:)
    @winter = @winters[winter]
    @seen, @nights, @parked, @mornings = @winter.values_at(:seen, :nights, :parked, :mornings)
    @told = @units.map { [] }
    @lately = []
    @evenings = {}
    return unless learns

    @histories = @units.each_index.map do |unit|
      FORECAST::History.new(threshold(unit), capacity_ampere_hour: CAPACITY).hear([*past(winter, unit), *(readings ? [read(unit)] : [])])
    end
    learn_of_fleet
  end

  # The winter before, of which every morning was tapped.
  def past(winter, unit) = winter.zero? ? [] : @winters.first[:nights].each_index.map { |night| dawn(@winters.first, unit, night) }

  def read(unit)
    threshold = threshold(unit)
    FORECAST::History::Read.new(celsius: threshold.celsius, variance: threshold.variance, day: @winter[:first_day] - 20)
  end

  def dawn(winter, unit, night)
    low = winter[:nights][night]
    FORECAST::History::Dawn.new(outcome: winter[:mornings][unit][night].last, low_celsius: low.low, day_before_celsius: low.day_before,
                                nights_parked: winter[:parked][unit][night], day: winter[:first_day] + night)
  end

  def threshold(unit) = (@thresholds ||= {})[[@winter[:first_day], unit]] ||= FORECAST::Threshold.new(inputs(unit))

  def inputs(unit)
    seen = @seen[unit]
    hidden = @units[unit]
    aids = { heat_aid: hidden.heat_aid, control_unit: hidden.control_unit }
    return labelled(unit, aids) unless @tested[unit]

    test = Wattomneum::Cranking::CrankTest.new(batteries_in_series: hidden.batteries,
                                               **seen.to_h.slice(:rest_volt, :posts_volt, :drop_volt, :ampere, :celsius, :speed_rpm))
    FORECAST::Inputs.of_test(test, **aids)
  end

  # Label and tester, and what such engines usually take.
  def labelled(unit, aids)
    hidden = @units[unit]
    each = Wattomneum::Batteries::InternalResistance.from_rating(
      measured_sae_ampere: hidden.rating_ampere * @seen[unit].tester_ratio, rest_volt: 12.56, temperature_celsius: 20.0, charge_percent: 89.0
    )
    FORECAST::Inputs.untested(bank_ohm: each * hidden.batteries, cranking_ampere: hidden.rating_ampere * 0.28 / Math.sqrt(hidden.batteries),
                              batteries_in_series: hidden.batteries, **aids)
  end

  def learn_of_fleet
    seen = @histories.each_index.map do |unit|
      read = @histories[unit].read
      FORECAST::FleetPrior::Seen.new(celsius: read&.celsius, variance: read&.variance, logs: @histories[unit].evidence.logs)
    end
    @fleet = FORECAST::FleetPrior.new(seen).learnt
  end

  # Once for each of a night.
  def evening(unit, at)
    @evenings = { at: at } if @evenings[:at] != at
    @evenings[unit] ||= begin
      night = @nights[at]
      FORECAST::Evening.of(@histories[unit].stored(@fleet), capacity_ampere_hour: CAPACITY, low_celsius: night.forecast,
                                                            day_before_celsius: night.day_before, nights_parked: @parked[unit][at])
    end
  end

  # What the unit alone had said, beside what was tapped.
  def told_of_fleet(unit, at)
    outcome = FORECAST::Morning::TELLING[@mornings[unit][at].last] or return
    over = evening(unit, at).celsius - @fleet.lately.celsius - @nights[at].low
    FORECAST::Lately::Told.new(night: at, over_celsius: (over * 2).round / 2.0, variance: evening(unit, at).own_variance.round,
                               failed: outcome == 'failed', units: 1)
  end

  def learn_lately(at)
    told = @lately.select { |one| at - one.night < FORECAST::Lately::DAYS }.group_by(&:itself)
                  .map { |one, same| one.dup.tap { |all| all.units = same.size }.tap { |all| all.days_ago = at - one.night } }
    @fleet.lately = FORECAST::Lately.new(told).learnt
  end

  def chance(unit, at) = evening(unit, at).chance(@nights[at].forecast)

  # The tap of the morning, of those that were not visited.
  def learn(at, good_until, keep:, learns:)
    @units.each_index do |unit|
      next if good_until[unit] >= at

      @told[unit] << at
      next unless learns

      @claims << Claim.new(chance: chance(unit, at), failed: failed?(unit, at), week: at / 7, winter: keep, night: [@seed, keep, at]) if keep
      told_of_fleet(unit, at)&.then { |told| @lately << told }
      @histories[unit].hear([dawn(@winter, unit, at)])
    end
    return unless learns

    learn_of_fleet if at < FIRST_WEEK || (at % FIRST_WEEK).zero?
    learn_lately(at)
  end
end
