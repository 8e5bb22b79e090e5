# frozen_string_literal: true

require_relative 'hands'
require_relative 'outcome'
require_relative 'shelf'

# One complaint about the start or the charge circuit of a unit, with something hidden in it that makes it.
class OnAUnit
  PRACTICE = Wattomneum::Practice
  SYSTEMS = %i[parallel_pair series_pair single_battery].freeze
  CHARGING = ['lamp lit', 'undercharge', 'overcharge', 'flat standing'].freeze
  # How somebody says it at intake, where that is a way of its own.
  SAID = { 'overcharge' => 'overcharges', 'flat standing' => 'goes_flat' }.freeze
  SOURCES = %w[battery starter alternator].freeze
  MOST_TRIES = 60
  BURNS_VOLT = 0.1
  ELSEWHERE = { fuel: /fuel/, locked: /engine|driven/, drags: /engine|driven|turn/, drain: /draw/, toothless: /ring gear/ }.freeze
  SHOWS = {
    'click' => ->(unit) { unit.behaviour == 'click' }, 'slow' => ->(unit) { unit.behaviour == 'slow' },
    'silent' => ->(unit) { unit.behaviour == 'silent' }, 'chatters' => ->(unit) { unit.behaviour == 'chatters' },
    'dies' => ->(unit) { unit.behaviour == 'starts_and_dies' }, 'spins' => ->(unit) { unit.behaviour == 'spins_free' },
    'lamp lit' => ->(unit) { %w[lit dim].include?(unit.measure('charge_lamp_running').observation) },
    'undercharge' => ->(unit) { !unit.charges? }, 'overcharge' => ->(unit) { unit.overcharges_by > 0.5 * unit.system.system_volt / 12 },
    'flat standing' => ->(unit) { unit.faults.any?(PRACTICE::UnitFault) }
  }.freeze

  # @param complaint [String]
  # @param number [Integer] of the job
  # @param seed [Integer]
  # @param set [Symbol] steady, two, mistaken or intermittent
  def initialize(complaint, number, seed, set: :steady)
    @complaint = complaint
    @random = Random.new((seed * 100_003) + (number * 17))
    @seed = (seed * 1000) + number
    @set = set
  end

  # @return [Outcome]
  def call
    system = Fleet.public_send(SYSTEMS.sample(random: @random))
    celsius = @random.rand(-15..30)
    @made = ->(faults) { PRACTICE::Vehicle.new(system: system, seed: @seed, temperature_celsius: celsius, faults: faults) }
    (@seed += 1_000_000) until (@kinds, @faults = hidden)
    unit = @made.call(@faults)
    @keys = @faults.map { |fault| BlindRuns.where(fault, unit.machine) }
    worked(unit)
  end

  private

  # Two that each make it; nil where nothing from the shelf does on this unit.
  # Two are chosen so that the second still matters once the first is mended.
  def hidden
    sound = @made.call([])
    count = @set == :two ? 2 : 1
    found = []
    MOST_TRIES.times do
      kind, fault = Shelf.fault(@complaint, sound, @random)
      unit = @made.call([fault])
      next if found.any? { |_, other| same_place?(other, fault) } || burns?(sound, unit, fault) || !shows?(unit)

      found << [kind, fault]
      return [found.map(&:first), found.map(&:last)] if found.size == count
    end
    nil
  end

  # A wire that is rubbed through before any fuse melts: nobody is asked to look for that.
  def burns?(sound, unit, fault)
    fault.is_a?(PRACTICE::Fault) && fault.to_ground_ohm && %w[off key_on].any? { |state| unit.posts_volt(state) < sound.posts_volt(state) - BURNS_VOLT }
  end

  def same_place?(one, other) = one.instance_of?(other.class) && (one.is_a?(PRACTICE::Fault) ? one.item == other.item : one.element == other.element)
  def shows?(unit) = SHOWS.fetch(@complaint).call(unit)
  def work = CHARGING.include?(@complaint) ? 'charging' : 'starting'

  def worked(unit)
    subject = @set == :intermittent ? ComesAndGoes.new(unit, @made.call([]), @seed) : unit
    slips = Slips.new({ steady: 0.02, two: 0.02, mistaken: 0.08, intermittent: 0.02 }.fetch(@set), @seed)
    hands = Hands.new(subject, slips: slips, seed: @seed, work: work, seen: @set == :intermittent ? 'comes_and_goes' : SAID[@complaint])
    last = hands.work
    outcome(hands, last, unit)
  end

  def outcome(hands, last, unit)
    good = hands.repairs.reject { |one| held_a_fault?(one) }
    Outcome.new(kind: @kinds.join('+'), tests: hands.readings.size, minutes: hands.events.last&.minutes.to_i, ended: ended(hands, last, unit, good),
                good_mended: good.size, wrong: good.intersect?(hands.proved), condemned: good.any? { |one| source?(one) },
                named: named?(last, unit), trail: -> { trail(hands, last) })
  end

  def held_a_fault?(repair)
    @keys.include?([repair.unit || repair.element, repair.position]) || @keys.include?([repair.element, nil]) ||
      (repair.element == 'starter' && @kinds.intersect?(%i[coil contact])) || (repair.element == 'battery' && @keys.include?(['battery', nil]))
  end

  def source?(repair) = SOURCES.include?(repair.element) || repair.unit.to_s.match?(/\A(BAT|M1|G|K2)\b/)

  def ended(hands, last, unit, good)
    return last.kind == 'close' ? 'mended good parts' : 'parked' if good.any?
    return shows_still?(unit) ? 'closed with a fault in' : 'right' if last.kind == 'close'
    return 'without end' unless last.kind == 'watch'

    return 'not closed' if unit.faults.empty? && hands.repairs.any?

    points_elsewhere?(last) || unit.faults.empty? ? 'right' : 'parked'
  end

  def shows_still?(unit) = unit.faults.any? && (@complaint == 'flat standing' || shows?(unit))

  # What no electrician mends is right where it is named: fuel, a tight engine, a drain.
  def points_elsewhere?(last)
    said = "#{last.title} #{last.why}".downcase
    ELSEWHERE.any? { |kind, words| @kinds == [kind] && said.match?(words) }
  end

  def named?(last, unit)
    said = "#{last.title} #{last.why}"
    @faults.any? do |fault|
      label = fault.is_a?(PRACTICE::Fault) ? unit.machine.repair_units.of(unit.machine.circuit.item(fault.item).branches.first).label : fault.element
      said.downcase.include?(label.to_s.downcase)
    end
  end

  def trail(hands, last)
    rows = hands.events.map do |event|
      said = event.reading && "#{event.reading.spoken} -> #{hands.assessment.judgements[event.reading.id]&.summary}"
      "  #{event.minutes} #{event.step.kind} #{event.step.title}: #{said}"
    end
    ["#{@complaint} #{@kinds} #{@faults.map(&:to_h)} #{@keys}", *rows, "  END #{last.kind}: #{last.title}. #{last.why}"].join("\n")
  end
end
