# frozen_string_literal: true

# What blind runs hide in a unit, by the complaint that it makes: a unit (as CoreFixtures has it) and the faults of one run.
module HiddenFaults
  class << self
    private

    # A joint, wire or contact of the unit's own circuit that has so much more ohm than it should.
    def joint(item, ohm) = Wattomneum::Practice::Fault.new(item: item, adds_ohm: ohm)
    def cut(item) = Wattomneum::Practice::Fault.open(item)

    # What no circuit has.
    def part(element, kind, amount = nil, position = nil)
      Wattomneum::Practice::UnitFault.new(element: element, kind: kind, amount: amount, position: position)
    end
  end

  STARTING = {
    'a lug of 2 to 6 mohm at the stud, 24 V' => [:series_pair, ->(random) { [joint('K2 lug of wire 4', random.rand(0.002..0.006))] }],
    'a lug at the stud, 12 V' => [:parallel_pair, ->(random) { [joint('K2 lug of wire 4', random.rand(0.003..0.1))] }],
    'an open brush' => [:parallel_pair, ->(_) { [cut('M1')] }],
    'a tight engine' => [:parallel_pair, ->(_) { [part('engine', 'locked', 0)] }],
    'a clamp joint' => [:parallel_pair, ->(random) { [joint('BAT_A clamp of wire 1', random.rand(0.003..0.1))] }],
    'one bad ground joint' => [:parallel_pair, ->(random) { [joint('wire strap', random.rand(0.003..0.1))] }],
    'two bad ground joints' => [:parallel_pair, lambda { |random|
      [joint('wire strap', random.rand(0.003..0.05)), joint('G2 wire 5', random.rand(0.003..0.05))]
    }],
    'a bad joint on each side' => [:parallel_pair, lambda { |random|
      [joint('S1 lug of wire 4', random.rand(0.003..0.05)), joint('BAT_A clamp of wire 5', random.rand(0.003..0.05))]
    }],
    'the weak one of a 24 V pair' => [:series_pair, ->(random) { [part('battery', 'weak', random.rand(0.2..0.45), 'B')] }],
    'a mounting face' => [:parallel_pair, ->(random) { [joint('wire bolts', random.rand(0.002..0.05))] }],
    'an isolator' => [:series_pair, ->(random) { [joint('S1', random.rand(0.004..0.05))] }],
    'a signal wire' => [:parallel_pair, ->(random) { [joint('wire 19', random.rand(1.5..6.0))] }],
    'the contact of the start relay' => [:parallel_pair, ->(_) { [cut('K1 contact 30 to 87')] }],
    'the coil of the start relay' => [:series_pair, ->(_) { [cut('K1 coil')] }],
    'the wire to that coil' => [:series_pair, ->(random) { [joint('wire 15', random.rand(300.0..900.0))] }],
    'the fuse of the key switch' => [:parallel_pair, ->(_) { [cut('F1')] }],
    'the coil of the solenoid' => [:parallel_pair, ->(_) { [cut('K2 coil')] }],
    'the return of the solenoid, inside the starter' => [:parallel_pair, ->(random) { [joint('M1 lug of wire sol', random.rand(2.0..6.0))] }],
    'the contact of the solenoid' => [:series_pair, ->(random) { [joint('K2 contact 30 to 87', random.rand(0.02..0.1))] }],
    'a link between two batteries' => [:series_pair, ->(random) { [joint('BAT_A clamp of wire link B', random.rand(0.03..0.2))] }],
    'a starter that spins free' => [:parallel_pair, ->(_) { [part('starter', 'spins')] }],
    'a shorted starter' => [:parallel_pair, ->(_) { [part('starter', 'shorted', 0.006)] }],
    'nothing at all' => [:parallel_pair, ->(_) { [] }]
  }.freeze
  CHARGING = {
    'a dead alternator' => [:parallel_pair, ->(_) { [part('alternator', 'dead')] }],
    'excitation lost' => [:parallel_pair, ->(_) { [cut('wire 37')] }],
    'the lamp itself' => [:parallel_pair, ->(_) { [cut('H1')] }],
    'its fuse' => [:series_pair, ->(_) { [cut('F3')] }],
    'a sense joint of 1 to 3 ohm' => [:parallel_pair, ->(random) { [joint('wire 34', random.rand(1.0..3.0))] }],
    'an open output link' => [:series_pair, ->(_) { [cut('FL1')] }],
    'a bad joint in the output' => [:parallel_pair, ->(random) { [joint('G lug of wire 30', random.rand(0.01..0.05))] }],
    'a bad bracket' => [:parallel_pair, ->(random) { [joint('wire bracket', random.rand(0.005..0.05))] }],
    'a sense joint with key-on loads' =>
      [:parallel_pair, ->(random) { [joint('wire 34', random.rand(1.0..3.0)), part('loads', 'on', 25.0)] }],
    'the ground of a regulator outside' => [:externally_regulated, ->(_) { [cut('G2 wire 42')] }],
    'the wire to its field' => [:externally_regulated, ->(_) { [cut('wire 44')] }],
    'the regulator itself' => [:externally_regulated, ->(_) { [cut('U1 high side field')] }],
    'a slack belt' => [:parallel_pair, ->(_) { [part('belt', 'dead')] }],
    'nothing charging' => [:series_pair, ->(_) { [] }]
  }.freeze

  BY_WORK = { 'starting' => STARTING, 'charging' => CHARGING }.freeze
end
