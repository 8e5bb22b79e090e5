# frozen_string_literal: true

# Each fault once on the screens, and by the requests those send with more of a meter's errors.
RSpec.describe 'From a complaint to a proved repair' do
  before { sign_in_as('electrician') }

  { system: [11], http: [12, 13, 14, 15] }.each do |type, seeds|
    seeds.each do |seed|
      it "finds a ground joint behind a click on a 12 V bus with a parallel pair (#{type}, seed #{seed})", type: type do
        open_job_on('B-15', 'Just clicks')
        kinds = work_to_the_end(simulated('B-15', 'block_strap', 'resistance', 0.08 + (seed * 0.001), seed: seed))
        expect(kinds).to include('repair', 'prove', 'put_back', 'close')
        expect(proved).to include('Strap, engine block to frame')
      end
    end
  end

  { http: [11, 12, 13, 14] }.each do |type, seeds|
    seeds.each do |seed|
      it "finds the failing battery of a 24 V truck (#{type}, seed #{seed})", type: type do
        open_job_on('T-05', 'Cranks slowly since the frost')
        kinds = work_to_the_end(simulated('T-05', 'battery', 'weak', 0.3, 'B', seed: seed))
        expect(kinds).to include('condemn', 'prove', 'close')
        expect(proved).to include('Battery B')
      end
    end
  end
end
