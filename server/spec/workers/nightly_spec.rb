# frozen_string_literal: true

RSpec.describe Server::Workers::Nightly do
  let(:now) { Time.utc(2026, 11, 26, 15) }
  let(:day) { 86_400 }
  let(:models) { Server::Models }

  def planned = Server::DB[:que_jobs].where(job_class: described_class.name)

  it 'is planned once for the next night, however many workers ask for it' do
    Server::DB[:que_jobs].delete
    3.times { described_class.plan(now: now) }
    expect(planned.select_map(:run_at)).to eq([Time.utc(2026, 11, 27, 2)])
    expect(described_class.next_run(Time.utc(2026, 11, 26, 1, 59))).to eq(Time.utc(2026, 11, 26, 2))
  end

  it 'throws out requests, sessions and counts that are old, and nothing else' do
    job = sign_in_as('electrician') && open_job
    take(job['id'], 'posts_rest', '12.6')
    models::Request.where(id: models::Request.get(:id)).update(at: Time.now.utc - (31 * day))
    account = models::Account.first
    { 'a' => { ended_at: Time.now.utc - (31 * day), ended_because: 'x' }, 'b' => { ended_at: Time.now.utc - day, ended_because: 'x' },
      'c' => { begun_at: Time.now.utc - (60 * day) } }.each do |token, rest|
      models::Session.create(account_id: account.id, token_digest: token,
    **rest)
    end
    models::SignInTry.dataset.insert(kind: 'network', key: 'old', wrong_at: Time.now.utc - (2 * day))
    before = models::Reading.count
    gone = Server::Queries::Leftovers.new(now: Time.now.utc).throw_out
    expect(gone).to include(request: 1, session: 2, sign_in_try: 1)
    expect([models::Session.where(token_digest: %w[a b c]).select_map(:token_digest), models::Reading.count]).to eq([['b'], before])
  end

  it 'throws out drawings of drafts and drafts that ended long ago, and none of a version' do
    models::SheetDrawing.dataset.delete
    person = sign_in_as('electrician') && models::Account.first
    version = models::Sheet.bring_in(Wattomneum::Circuits::Library::TEXTS.fetch('glow'))
    [['d' * 64, 'sheet: x'], [version.digest, version.content]].each { |digest, content| models::SheetDrawing.order(content, digest) }
    models::SheetDrawing.dataset.update(asked_at: Time.now.utc - (31 * day))
    drafts = Array.new(2) { models::SheetDraft.begin({ id: SecureRandom.uuid, version_id: version.id }, by: person) }
    drafts.first.drop
    drafts.first.update(ended_at: Time.now.utc - (31 * day))
    Server::Queries::Leftovers.new(now: Time.now.utc).throw_out
    expect([models::SheetDrawing.select_map(:digest), drafts.map do |draft|
      models::SheetDraft.with_pk(draft.id).nil?
    end]).to eq([[version.digest], [true, false]])
  end
end
