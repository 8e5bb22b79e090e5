# frozen_string_literal: true

# Each fault once on the screens, and by the requests those send with more of a meter's errors.
RSpec.describe 'From a complaint to a proved repair' do
  before { sign_in_as('electrician') }

  { system: Extent.of([], [11]), http: Extent.of([11], [12, 13, 14]) }.each do |type, seeds|
    seeds.each do |seed|
      it "finds a ground joint behind a click on a 12 V bus with a parallel pair (#{type}, seed #{seed})", :seeds, type: type do
        open_job_on('B-15', 'Just clicks')
        kinds = work_to_the_end(with_bad_joint('B-15', 'engine_block', 'frame', ohm: 0.08 + (seed * 0.001), seed: seed))
        expect(kinds).to include('repair', 'prove', 'put_back', 'close')
        expect(proved).to include('Strap, BLOCK to FRAME')
      end
    end
  end

  { http: Extent.of([11], [11, 12, 13]) }.each do |type, seeds|
    seeds.each do |seed|
      it "finds the failing battery of a 24 V truck (#{type}, seed #{seed})", :seeds, type: type do
        open_job_on('T-05', 'Cranks slowly since the frost')
        kinds = work_to_the_end(with_weak_battery('T-05', 'B', 0.3, seed: seed))
        expect(kinds).to include('condemn', 'prove', 'close')
        expect(proved).to include('Battery B')
      end
    end
  end

  fault = Wattomneum::Practice::Fault
  # What is silent or cold, what makes it so, and what is mended.
  circuits = {
    'a missing ground at the coil of the pump relay' =>
      ['M2', fault.open('G8 wire 8@fuel_pump'), 'Ring of wire 8 on G8, Relay coil ground under the fuse box'],
    'a pump wire on a few strands' => ['M2', fault.new(item: 'wire 10@fuel_pump', adds_ohm: 5.0), 'Wire 10 green/red 4 mm2'],
    'a heater without its ground' => ['U3', fault.open('wire 9@heater'), 'Wire 9 brown 4 mm2'],
    'a blower behind a splice that let go' => ['M3', fault.open('SP6 wire 6@heater'), 'Strand of wire 6 on SP6, Feed splice on the rail']
  }

  circuits.each do |words, (part, hidden_fault, mended)|
    it "finds #{words} on T-03, by readings at its pins", :long, type: :http do
      unit = hidden('T-03', hidden_fault, seed: 3)
      open_job_on('T-03', 'Does nothing', part: part, situation: 'key_on')
      kinds = work_to_the_end(unit)
      expect(kinds.last(2)).to eq(%w[put_back close])
      expect([proved, unit.sound?]).to eq([[mended], true])
    end
  end

  # What runs with the key off.
  strays = { 'the contact of the pump relay that stays closed' => [fault.stuck('K11 contact 30 to 87'), 'K11, Fuel pump relay'],
             'the ignition switch that does not open' => [fault.stuck('S2@fuel_pump'), 'S2, Ignition switch'] }
  strays.each do |words, (hidden_fault, mended)|
    it "finds #{words} on T-03, with the relay in and pulled", :long, type: :http do
      unit = hidden('T-03', hidden_fault, seed: 4)
      open_job_on('T-03', 'Pump hums all night', part: 'M2', seen: 'stays_on')
      expect(work_to_the_end(unit).last(2)).to eq(%w[put_back close])
      expect([proved, unit.sound?]).to eq([[mended], true])
    end
  end

  it 'finds a relay that stays closed in the browser', :long, type: :system do
    unit = hidden('T-03', fault.stuck('K11 contact 30 to 87'), seed: 6)
    open_job_on('T-03', 'Pump hums all night', thing: 'Fuel pump (M2)', how: 'stays on')
    expect(work_to_the_end(unit)).to include('repair', 'prove', 'close')
    expect([proved, unit.sound?]).to eq([['K11, Fuel pump relay'], true])
  end

  it 'finds the missing ground of the pump relay in the browser', :long, type: :system do
    unit = hidden('T-03', fault.open('G8 wire 8@fuel_pump'), seed: 5)
    open_job_on('T-03', 'No pump to be heard', thing: 'Fuel pump (M2)')
    expect(work_to_the_end(unit)).to include('repair', 'prove', 'close')
    expect([proved, unit.sound?]).to eq([['Ring of wire 8 on G8, Relay coil ground under the fuse box'], true])
  end
end
