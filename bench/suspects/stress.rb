# frozen_string_literal: true

# Sets of hidden faults: steady ones, which are the main set, and those that make it hard.
class Stress
  CORE = Wattomneum
  FAULT = CORE::Practice::Fault
  # truth: a simulated unit; guilty: keys of the parts at fault
  Hidden = Struct.new(:truth, :guilty, keyword_init: true)
  OUTSIDE_SHARE = 0.05
  MUCH_OUTSIDE_SHARE = 0.15

  # @param name [String]
  # @return [Stress]
  def self.fetch(name) = SETS.fetch(name) { abort "STRESS is one of #{SETS.keys.join(', ')}" }

  # @yieldparam complaint [Complaint]
  # @yieldparam random [Random]
  # @yieldparam seed [Integer]
  # @yieldreturn [Array(Array<FAULT>, Object)] what is at fault, and the simulated unit
  def initialize(&made)
    @made = made
  end

  # @param complaint [Complaint]
  # @param count [Integer]
  # @param seed [Integer]
  # @return [Array<Hidden>] so many that make it fail
  def hidden(complaint, count, seed)
    random = Random.new(seed)
    found = []
    (count * 10).times do |at|
      faults, truth = @made.call(complaint, random, (seed * 10_000) + at)
      next if truth.nil? || truth.works?(complaint.part.id, complaint.state)

      found << Hidden.new(truth: truth, guilty: faults.flat_map { |fault| complaint.guilty(fault) })
      break if found.size == count
    end
    found
  end

  def self.one(complaint, random, outside: OUTSIDE_SHARE)
    random.rand < outside ? complaint.outside(random) : complaint.fault(random)
  end

  STEADY = new do |complaint, random, seed|
    fault = one(complaint, random)
    [[fault], complaint.truth([fault], seed)]
  end

  SETS = {
    # Rubbed through to the metal: the first mend has to be the wire, not the fuse it blew.
    'shorts' => new do |complaint, random, seed|
      fault = complaint.short(random)
      [[fault], complaint.truth([fault], seed)]
    end,
    # There in six readings of ten.
    'intermittent' => new do |complaint, random, seed|
      fault = complaint.fault(random)
      [[fault], Intermittent.new(complaint.truth([fault], seed), complaint.truth([], seed), seed)]
    end,
    'two' => new do |complaint, random, seed|
      faults = Array.new(2) { complaint.fault(random) }
      [faults, complaint.truth(faults, seed)]
    end,
    # One of the first eight readings is written down as something else.
    'mistaken' => new do |complaint, random, seed|
      fault = complaint.fault(random)
      [[fault], Mistaken.new(complaint.truth([fault], seed), complaint.sheet.system_volt, seed) { |read| read == (seed % 8) + 1 }]
    end,
    # The drawing is wrong about the unit, in three of ten a consumer hangs on it that nobody drew, three readings in a hundred are mistaken.
    'bad' => new do |complaint, random, seed|
      fault = one(complaint, random, outside: MUCH_OUTSIDE_SHARE)
      undrawn = random.rand < 0.3 ? [complaint.undrawn(random)] : []
      next unless complaint.truth(undrawn, seed, drawn_wrong: true).works?(complaint.part.id, complaint.state)

      truth = complaint.truth([fault, *undrawn], seed, drawn_wrong: true)
      [[fault], Mistaken.new(truth, complaint.sheet.system_volt, seed) { |_, roll| roll < 0.03 }]
    end
  }.freeze
end
