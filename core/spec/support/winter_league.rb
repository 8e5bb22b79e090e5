# frozen_string_literal: true

# A winter of hidden units, and ways of choosing which of them to visit each evening. A visited unit starts for a week, whatever it is.
class WinterLeague
  GOOD_DAYS = 7
  MISTAKEN = 0.02
  CAPACITY = 180.0
  SHIFT_DAYS = Wattomneum::ColdStart::Table::DATA.dig('fleet_shift', 'every_days')
  UNTESTED_SHARE = 0.15
  WINTER = Wattomneum::Practice::Winter
  FORECAST = Wattomneum::ColdStart
  # The list by which a yard goes, worst first, from what was seen in autumn.
  RIVALS = { 'lowest cranking posts' => ->(seen, batteries) { seen.posts_volt / batteries }, 'lowest rest volts' => lambda { |seen, batteries|
    seen.rest_volt / batteries
  },
             'lowest tester share' => ->(seen, _) { seen.tester_ratio }, 'oldest' => ->(seen, _) { -seen.age_years } }.freeze
  # Said and what happened, of one unit on one morning.
  Claim = Struct.new(:chance, :failed, keyword_init: true)

  attr_reader :claims

  def initialize(seed, units: 300, mornings: 60)
    @random = Random.new(seed)
    @units = Array.new(units) { WINTER::Unit.new(@random) }
    @tested = @units.map { @random.rand > UNTESTED_SHARE }
    @seen = @units.map { |unit| unit.seen(@random.rand(2.0..18.0)) }
    @nights = WINTER::Nights.of(mornings, @random)
    @parked = @units.map { parked(mornings) }
    @outcomes = @units.each_index.map { |unit| @nights.each_with_index.map { |night, at| @units[unit].morning(night, @parked[unit][at]) } }
    @claims = []
  end

  # @return [Hash{String => Float}] no-starts avoided, of all that there would have been, by way of choosing
  def avoided(visits)
    by_model = avoided_by(visits) { |evening, open| open.max_by(visits) { |unit| chance(unit, evening) } }
    { 'forecast' => by_model, 'oracle of the night' => avoided_by(visits, learns: false) { |evening, open| failing(open, evening).first(visits) },
      'random' => avoided_by(visits, learns: false) { |_, open| open.sample(visits, random: Random.new(visits)) } }
      .merge(RIVALS.transform_values do |by|
               avoided_by(visits, learns: false) do |_, open|
                 open.min_by(visits) do |unit|
                   by.call(@seen[unit], @units[unit].batteries)
                 end
               end
             end)
  end

  private

  def parked(mornings)
    nights = 0
    Array.new(mornings) { nights = @random.rand < 0.7 ? 1 : nights + 1 }
  end

  def failing(open, evening) = open.select { |unit| @outcomes[unit][evening] == 'failed' }

  def avoided_by(visits, learns: true)
    begin_winter if learns
    good_until = Array.new(@units.size, -1)
    avoided = total = 0
    @nights.each_index do |evening|
      open = @units.each_index.select { |unit| good_until[unit] < evening }
      yield(evening, open).each { |unit| good_until[unit] = evening + GOOD_DAYS - 1 }
      failed = failing(@units.each_index.to_a, evening)
      total += failed.size
      avoided += failed.count { |unit| good_until[unit] >= evening }
      learn(evening, good_until, keep: visits == 10) if learns
      shift_fleet if learns && (evening % SHIFT_DAYS) == SHIFT_DAYS - 1
    end
    avoided.fdiv(total)
  end

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

  def stored(unit)
    (@thresholds ||= {})[unit] ||= FORECAST::Evening::Stored.of(FORECAST::Threshold.new(inputs(unit)))
  end

  def evening(unit, at)
    night = @nights[at]
    FORECAST::Evening.of(@told[unit].stored, capacity_ampere_hour: CAPACITY, low_celsius: night.forecast, day_before_celsius: night.day_before,
                                             nights_parked: @parked[unit][at])
  end

  def chance(unit, at) = evening(unit, at).chance(@nights[at].forecast)

  def begin_winter
    @priors = @units.each_index.map { |unit| stored(unit) }
    @dawns = @units.map { [] }
    tell_under(FORECAST::FleetShift::Shift.none)
  end

  # All mornings so far, told anew.
  def tell_under(shift)
    @shift = shift
    @told = @priors.zip(@dawns).map { |prior, dawns| FORECAST::Told.new(shift.on(prior), capacity_ampere_hour: CAPACITY).hear(dawns) }
  end

  def shift_fleet
    seen = @priors.zip(@told).map do |prior, told|
      FORECAST::FleetShift::Seen.new(celsius: prior.celsius, variance: prior.variance, coldest_start: told.coldest_start,
                                     warmest_failure: told.warmest_failure)
    end
    FORECAST::FleetShift.new(seen).best.then { |to| tell_under(to) unless to == @shift }
  end

  # The tap of the morning, of those that were not visited.
  def learn(at, good_until, keep:)
    @units.each_index do |unit|
      next if good_until[unit] >= at

      @claims << Claim.new(chance: chance(unit, at), failed: @outcomes[unit][at] == 'failed') if keep
      night = @nights[at]
      @dawns[unit] << FORECAST::Told::Dawn.new(outcome: entered(@outcomes[unit][at]), low_celsius: night.low, day_before_celsius: night.day_before,
                                               nights_parked: @parked[unit][at])
      @told[unit].hear(@dawns[unit].last(1))
    end
  end

  def entered(outcome) = @random.rand < MISTAKEN ? %w[started slow failed].sample(random: @random) : outcome
end
