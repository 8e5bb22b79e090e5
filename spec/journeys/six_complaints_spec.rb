# frozen_string_literal: true

# Six complaints from intake to close over the requests that the screens send, with suspects worked out: three of them every day, the other three
# with another seed of the run, all with six seeds in the long part. What is typed is what a hidden unit shows, never what the card predicts.
RSpec.describe 'Six complaints, from intake to close', :seeds, type: :http do
  before { sign_in_as('electrician') }

  fault = Wattomneum::Practice::Fault
  seeds = Extent.of([31], (31..36).to_a)
  taken = Extent.method(:turn?)

  def work_out_suspects
    key, job_id = Server::DB[:que_jobs].where(job_class: 'Server::Workers::WorkOutPredictions').select_map(:args).reverse
                                       .find { |_, id| id == bench['id'] }
    Server::Workers::WorkOutPredictions.run(key, job_id) if key
  end

  # @return [Array<String>] what was mended and proved, and how it ended
  def carried(unit)
    work_out_suspects
    kinds = work_to_the_end(unit)
    [proved, kinds.last, bench['repairs'].map { |one| one['proof']['cause_rung'] }.uniq]
  end

  seeds.each do |seed|
    it "a click that is a ground (seed #{seed})", if: taken.call(0) do
      open_job_on('B-15', 'Just clicks')
      mended, ended, sureness = carried(with_bad_joint('B-15', 'frame', 'negative_post', ohm: 0.07 + (seed * 0.001), seed: seed))
      expect([mended.grep(/G2|wire 5|BAT/).size, ended, sureness]).to eq([1, 'close', ['isolated']])
    end

    it "the same click that is a starter (seed #{seed})", if: taken.call(1) do
      open_job_on('B-15', 'Just clicks')
      mended, ended, = carried(simulated('B-15', fault.open('M1'), seed: seed))
      expect([mended, ended]).to eq([['Starter with solenoid'], 'close'])
    end

    it "a heater feed with megohms at a rubbed place (seed #{seed})", if: taken.call(2) do
      unit = hidden('T-03', fault.new(item: 'wire 7@heater', adds_ohm: 1e6 + (seed * 1e5)), seed: seed)
      open_job_on('T-03', 'Heater stays cold', part: 'U3', situation: 'key_on')
      mended, ended, = carried(unit)
      expect([mended.size, ended, unit.sound?]).to eq([1, 'close', true])
      expect(mended.first).to start_with('Wire 7')
    end

    it "a silent pump relay with a missing coil ground (seed #{seed})", if: taken.call(3) do
      unit = hidden('T-03', fault.open('G8 wire 8@fuel_pump'), seed: seed)
      open_job_on('T-03', 'No pump to be heard', part: 'M2', situation: 'key_on')
      mended, ended, sureness = carried(unit)
      expect([mended, ended, unit.sound?,
              sureness]).to eq([['Ring of wire 8 on G8, Relay coil ground under the fuse box'], 'close', true, ['isolated']])
    end

    it "no spark with two kill branches grounded at once (seed #{seed})", if: taken.call(4) do
      unit = hidden('W-02', fault.short('wire 10', 0.2), fault.stuck('S10'), seed: seed)
      open_job_on('W-02', 'No spark', part: 'L9', situation: 'idle')
      mended, ended, = carried(unit)
      expect([mended.size, ended, unit.sound?]).to eq([2, 'close', true])
      stopped = bench['readings'].select { |one| one['probe'] && one['probe']['by'] == 'seen' && one.dig('judged', 'verdict') == 'sound' }
      expect(stopped.map { |one| one['state'] }).to include('key_off', 'door_left', 'door_right', 'emergency_stop', 'oil_low')
    end

    it "cranks and gets no fuel, with a page of codes that is one ground (seed #{seed})", if: taken.call(5) do
      unit = hidden('T-03', fault.open('wire strap_cab'), seed: seed)
      open_job_on('T-03', 'Cranks, no fuel: P0560 P0627 P0685 P2122', part: 'M2', situation: 'key_on')
      mended, ended, = carried(unit)
      expect([mended.size, ended, unit.sound?]).to eq([1, 'close', true])
    end
  end
end
