# frozen_string_literal: true

# What may be wrong with a unit's start and charge circuit, off any grid: joints, wires and contacts, what is rubbed through, and what sits inside
# the sources.
module Shelf
  PRACTICE = Wattomneum::Practice
  FAULT = PRACTICE::Fault
  # Ways that have less than this when they are sound carry the starter's or the alternator's ampere.
  THICK_OHM = 0.0012
  OPEN_SHARE = 0.3
  # Whatever else has the same share: ours.
  WEIGHTS = { joint: 10, rubbed: 2, weak: 3, flat: 3, cell: 2, brushes: 2, contact: 2, turns: 1, bush: 2, spins: 3, toothless: 1, coil: 1,
              locked: 1, drags: 2, fuel: 2, dead: 2, half: 2, field: 2, high: 1, low: 1, belt: 2, drain: 2 }.freeze
  # What each complaint may come from; the rest would only be thrown away.
  KINDS = { 'click' => %i[joint flat weak brushes contact turns bush locked cell],
            'slow' => %i[joint weak flat cell brushes turns bush drags contact],
            'silent' => %i[joint rubbed coil flat], 'chatters' => %i[joint flat weak cell], 'dies' => %i[fuel joint], 'spins' => %i[spins toothless],
            'lamp lit' => %i[joint rubbed dead field half belt low], 'undercharge' => %i[joint rubbed dead half field low belt cell],
            'overcharge' => %i[high joint], 'flat standing' => %i[drain cell weak] }.freeze

  # Of these no unit has two.
  ONCE = %w[dies spins].freeze

  class << self
    # @param set [Symbol]
    # @return [Array<String>]
    def complaints(set) = set == :two ? KINDS.keys - ONCE : KINDS.keys

    # @param complaint [String]
    # @param unit [PRACTICE::Vehicle] sound
    # @param random [Random]
    # @return [PRACTICE::Fault, PRACTICE::UnitFault]
    def fault(complaint, unit, random)
      kinds = KINDS.fetch(complaint).flat_map { |kind| [kind] * WEIGHTS.fetch(kind) }
      kind = kinds.sample(random: random)
      [kind, send(kind, unit, random)]
    end

    # @return [Array<Circuits::Circuit::Item>] joints, wires, contacts that can be mended one by one
    def ways(unit)
      circuit = unit.machine.circuit
      circuit.items.select do |item|
        one = circuit.owned[item.branches.first]
        item.branches.one? && one.branch.volt.zero? && one.part&.kind != 'body' && !source?(one) && item.key !~ /coil|link (?!\w)/
      end
    end

    private

    def source?(owned)
      owned.part && owned.ring_of.nil? && [Wattomneum::Circuits::Parts::Battery, Wattomneum::Circuits::Parts::Starter,
                                           Wattomneum::Circuits::Parts::Alternator].any? { |kind| owned.part.is_a?(kind) }
    end

    def log(random, least, most) = least * ((most / least)**random.rand)

    def joint(unit, random)
      item = ways(unit).sample(random: random)
      return FAULT.open(item.key) if random.rand < OPEN_SHARE

      thick = unit.machine.circuit.network.branches[item.branches.first].ohm < THICK_OHM
      FAULT.new(item: item.key, adds_ohm: thick ? log(random, 0.0008, 0.3) : log(random, 0.2, 30_000.0))
    end

    def rubbed(unit, random)
      wires = ways(unit).select { |item| item.kind == 'wire' && unit.machine.circuit.network.branches[item.branches.first].ohm >= THICK_OHM }
      FAULT.short(wires.sample(random: random).key, log(random, 0.03, 20.0))
    end

    def inside(element, kind, amount = nil, position = nil)
      PRACTICE::UnitFault.new(element: element, kind: kind, amount: amount, position: position)
    end

    def one_of(unit, random) = unit.system.positions.sample(random: random)
    def factor(unit) = unit.system.system_volt / 12.0
    def weak(unit, random) = inside('battery', 'weak', log(random, 0.08, 0.5), one_of(unit, random))
    def flat(unit, random) = inside('battery', 'flat', random.rand(2.0..35.0), random.rand < 0.5 ? nil : one_of(unit, random))
    def cell(unit, random) = inside('battery', 'cell', nil, one_of(unit, random))
    def brushes(_unit, random) = inside('starter', 'brushes', log(random, 0.001, 1.0))
    def contact(unit, random) = FAULT.new(item: "#{solenoid(unit)} contact 30 to 87", adds_ohm: log(random, 0.001, 0.5))
    def turns(_unit, random) = inside('starter', 'turns', random.rand(0.4..0.85))
    def bush(_unit, random) = inside('starter', 'bush', random.rand(0.15..0.8))
    def toothless(_unit, _random) = inside('engine', 'toothless')
    def spins(_unit, _random) = inside('starter', 'spins')
    def coil(unit, _random) = FAULT.open("#{solenoid(unit)} coil")
    def locked(_unit, _random) = inside('engine', 'locked')
    def drags(_unit, random) = inside('engine', 'drags', random.rand(1.25..2.3))
    def fuel(_unit, _random) = inside('fuel', 'lost')
    def dead(_unit, _random) = inside('alternator', 'dead')
    def half(_unit, random) = inside('alternator', 'half', random.rand(0.2..0.66))
    def field(unit, random) = inside('alternator', 'field', log(random, 5.0, 1e6) * factor(unit))
    def high(unit, random) = inside('alternator', 'high', random.rand(0.6..2.4) * factor(unit))
    def low(unit, random) = inside('alternator', 'low', random.rand(0.6..1.7) * factor(unit))
    def belt(_unit, random) = inside('belt', 'slips', random.rand(0.05..0.5))
    def drain(_unit, random) = inside('drain', 'on', log(random, 0.2, 4.0))
    def solenoid(unit) = unit.machine.sheet.places.fetch('solenoid_terminal').split(':').first
  end
end
