# frozen_string_literal: true

# Lists of what is dead and what works alone, with one in ten wrong or missing: how often the first group holds the hidden fault, and how many
# wires and parts it names. N=100 faults of each kind unless said; SEED=9 others.
require_relative '../core/lib/wattomneum'
require_relative '../core/spec/support/seen_by_all'

SHEETS = %w[ecu_power fuel_pump grounds_truck grounds_bus glow heater engine_stop cluster charge_12v genset].freeze
WRONG_RATIO = 0.1
FINE = %i[works right].freeze
FAULTS = ENV.fetch('N', 100).to_i
SEED = ENV.fetch('SEED', 7).to_i
PRACTICE = Wattomneum::Practice::Fault
OPPOSITE = { works: :dead, dead: :works, weak: :works, runs: :works, right: :low, low: :right, high: :right }.freeze
KINDS = {
  'open' => [%w[wire ground splice stud fuse fusible_link connector], ->(item, _) { PRACTICE.open(item) }],
  '0.5 to 2,000 ohm' => [%w[wire ground splice stud fuse fusible_link connector],
                         ->(item, random) { PRACTICE.new(item: item, adds_ohm: 10**random.rand(Math.log10(0.5)..Math.log10(2000))) }],
  'shorted to ground' => [%w[wire], ->(item, random) { PRACTICE.short(item, 10**random.rand(-1.0..1.0)) }]
}.freeze

def machine(key) = (@machines ||= {})[key] ||= Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(key))

# Some are left unsaid, some are said the other way round.
def told(shown, random)
  shown.each_with_object({}) do |(key, word), said|
    roll = random.rand
    next if roll < WRONG_RATIO / 2

    said[key] = roll < WRONG_RATIO ? OPPOSITE.fetch(word) : word
  end
end

# All that stands first: what one wrong word more or less would put there.
def first_group(machine, said)
  words = said.keys.group_by { |key| said[key] == :right ? 'works' : said[key].to_s }
  machine.causes.explain(Wattomneum::Circuits::Questions::CommonCause::Said.all(machine.circuit, words)).first.flat_map(&:items).uniq
end

# As a screen names them: a component as a whole stands for its own pins and rings.
def named(items)
  whole = items.select(&:whole).map(&:uuid)
  items.select { |item| item.whole || !whole.include?(item.uuid) }
end

def hidden(kinds, made, random)
  sheet = machine(SHEETS.sample(random: random))
  item = sheet.circuit.items.select { |one| kinds.include?(one.kind) && one.branches.one? }.sample(random: random)
  [sheet, item, made.call(item.key, random)]
end

KINDS.each do |name, (kinds, made)|
  random = Random.new(SEED)
  held = []
  sizes = []
  until held.size == FAULTS
    sheet, item, fault = hidden(kinds, made, random)
    shown = SeenByAll.new(sheet, fault, random.rand(1_000_000)).all
    said = told(shown, random)
    next if [shown, said].any? { |one| one.values.all? { |word| FINE.include?(word) } }

    group = named(first_group(sheet, said))
    held << group.any? { |one| one.key == item.key || (one.whole && one.uuid == item.uuid) }
    sizes << group.size
  end
  puts format('%<name>-18s %<n>d lists: first group holds it %<held>4.1f %%, names %<size>4.1f wires and parts', name: name, n: held.size,
              held: 100.0 * held.count(true) / held.size, size: sizes.sum.fdiv(sizes.size))
end
