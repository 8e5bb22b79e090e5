# frozen_string_literal: true

# A unit that starts by itself: nothing is read on it before that is locked out.
RSpec.describe Server::Models::Disturbance do
  before { sign_in_as('electrician') }

  let(:unit) { a_unit(automatic_start: true) }
  let(:job) { open_job(unit)['id'] }

  def lock_out = write(:post, "/api/jobs/#{job}/disturbances", { id: SecureRandom.uuid, what: 'Automatic start locked out', lockout: true })
  def bench = read("/api/jobs/#{job}")

  it 'locks automatic start out before anything is read, and put back before the job closes' do
    expect(bench['lockout_owed']).to be(true)
    take(job, 'cranking_behaviour', 'click')
    expect([status, error['message']]).to match([422, /starts by itself: lock out automatic start/])
    lock_out
    expect(bench).to include('lockout_owed' => false, 'disturbances' => [include('lockout' => true)])
    take(job, 'cranking_behaviour', 'click')
    expect(status).to eq(201)
    write(:post, "/api/disturbances/#{bench['disturbances'].first['id']}/put-back")
    expect(bench['lockout_owed']).to be(true)
    take(job, 'cranking_behaviour', 'click')
    expect(status).to eq(422)
  end

  it 'asks nothing of a unit that does not, nor of a job that has ended' do
    other = open_job(a_unit)['id']
    expect(read("/api/jobs/#{other}")['lockout_owed']).to be(false)
    write(:post, "/api/jobs/#{job}/cancel", { lock_version: bench['lock_version'], reason: 'Wrong unit' })
    expect(bench['lockout_owed']).to be(false)
  end

  it 'goes by a fact of the unit, kept when it is edited' do
    shown = read("/api/units/#{unit.id}")
    expect(shown['automatic_start']).to be(true)
  end
end
