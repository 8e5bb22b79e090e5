# frozen_string_literal: true

RSpec.describe Server::Models::Request do
  before { sign_in_as('electrician') }

  let(:job) { open_job }

  def readings = Server::Models::Reading.where(job_id: job['id']).count

  it 'answers the same to the same request and does it once' do
    id = SecureRandom.uuid
    body = { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6', conditions: {} }
    answers = Array.new(3) { write(:post, "/api/jobs/#{job['id']}/readings", body, request_id: id) }
    expect([answers.uniq.size, readings]).to eq([1, 1])
  end

  it 'shows what it was about as it stands now, and keeps no copy of a reply' do
    id = SecureRandom.uuid
    body = { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6', conditions: {} }
    write(:post, "/api/jobs/#{job['id']}/readings", body, request_id: id)
    take(job['id'], 'posts_rest', '12.5')
    expect(write(:post, "/api/jobs/#{job['id']}/readings", body, request_id: id)['readings'].size).to eq(2)
    expect(described_class.with_pk!(id).values.to_s.size).to be < 400
  end

  it 'doubles nothing when it comes back after its record was thrown out: the row is on record, and that is said' do
    id = SecureRandom.uuid
    body = { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6', conditions: {} }
    write(:post, "/api/jobs/#{job['id']}/readings", body, request_id: id)
    described_class.where(id: id).delete
    write(:post, "/api/jobs/#{job['id']}/readings", body, request_id: id)
    expect([status, error['code'], readings]).to eq([409, 'id_taken', 1])
  end

  it 'says whether a request was done, and gives up one that was not: should it still arrive, it is too late' do
    done, lost = Array.new(2) { SecureRandom.uuid }
    body = { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6', conditions: {} }
    write(:post, "/api/jobs/#{job['id']}/readings", body, request_id: done)
    expect([done, lost, lost].map { |id| write(:post, "/api/requests/#{id}/settlement")['saved'] }).to eq([true, false, false])
    write(:post, "/api/jobs/#{job['id']}/readings", body.merge(id: SecureRandom.uuid), request_id: lost)
    expect([status, error['code'], readings]).to eq([409, 'request_conflict', 1])
    sign_in_as('lead')
    expect(write(:post, "/api/requests/#{done}/settlement")['saved']).to be(false)
  end

  it 'calls the same id with other content a conflict, and changes nothing' do
    id = SecureRandom.uuid
    body = { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6', conditions: {} }
    write(:post, "/api/jobs/#{job['id']}/readings", body, request_id: id)
    write(:post, "/api/jobs/#{job['id']}/readings", body.merge(value_text: '12.1'), request_id: id)
    expect([status, error['code'], readings]).to eq([409, 'request_conflict', 1])
  end

  it 'calls the id of another person a conflict too' do
    id = SecureRandom.uuid
    body = { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6', conditions: {} }
    path = "/api/jobs/#{job['id']}/readings"
    write(:post, path, body, request_id: id)
    sign_in_as('lead')
    write(:post, path, body, request_id: id)
    expect(status).to eq(409)
  end

  it 'forgets a request that was refused, so that it may be sent again when it is right' do
    id = SecureRandom.uuid
    body = { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: 'about 12', conditions: {} }
    write(:post, "/api/jobs/#{job['id']}/readings", body, request_id: id)
    expect(status).to eq(422)
    write(:post, "/api/jobs/#{job['id']}/readings", body.merge(value_text: '12.6'), request_id: id)
    expect([status, readings]).to eq([201, 1])
  end

  it 'wants an id of the right form' do
    write(:post, "/api/jobs/#{job['id']}/park", { lock_version: 0 }, request_id: 'once')
    expect([status, error['message']]).to match([400, include('UUID')])
  end
end
