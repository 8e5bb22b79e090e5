# frozen_string_literal: true

RSpec.describe Server::Routes::Session do
  let(:hour) { 3600 }

  def sign_in(email, password = 'long enough')
    write(:post, '/api/sign-in', { login: email, password: password })
    status
  end

  def jar = rack_mock_session.cookie_jar
  def sessions_of(account) = Server::Models::Session.where(account_id: account.id)

  def as(cookies)
    rack_mock_session.cookie_jar = cookies
    read('/api/session')
    status
  end

  it 'refuses everything but health to who is not signed in, and says what to do' do
    %w[/api/session /api/sessions /api/today /api/units /api/jobs /api/catalogue].each do |path|
      read(path)
      expect([status, error['code']]).to eq([401, 'not_signed_in'])
    end
    expect(read('/health')).to include('ok' => true)
  end

  it 'says who is signed in and what they may do' do
    sign_in_as('driver')
    expect(read('/api/session')).to include('role' => 'driver', 'may' => contain_exactly('read', 'report_fault', 'say_morning'))
  end

  it 'gives its cookie when somebody signs in, and in no other reply' do
    sign_in_as('reader')
    %w[/api/session /api/today /api/nowhere /api/jobs/none].each do |path|
      get "#{Requests::HOST}#{path}"
      expect(last_response.headers).not_to include('set-cookie')
      expect(last_response.headers).to include('cache-control' => 'no-store', 'x-content-type-options' => 'nosniff')
    end
  end

  it 'marks its cookie for TLS only when told that TLS is in use' do
    secure = instance_double(Server::Config, secure_session?: true, argon_cost: Server::CONFIG.argon_cost)
    account = sign_in_as('reader')
    stub_const('Server::CONFIG', secure)
    sign_in(account.email)
    expect(Array(last_response.headers['set-cookie']).join.downcase).to include('; secure')
  end

  it 'ends on the server when somebody signs out: the cookie alone opens nothing' do
    sign_in_as('reader')
    kept = jar.dup
    write(:post, '/api/sign-out')
    expect([status, as(kept)]).to eq([200, 401])
    write(:post, '/api/sign-out')
    expect(status).to eq(200)
  end

  it 'ends when somebody else signs in at the same device' do
    first = sign_in_as('lead')
    kept = jar.dup
    second = sign_in_as('reader')
    expect(read('/api/session')['email']).to eq(second.email)
    expect([as(kept), Server::Models::Session.where(account_id: first.id).get(:ended_because)]).to eq([401, 'somebody signed in here'])
  end

  it 'ends with a new role or a new password given by a lead' do
    { role: 'electrician', password: 'cold strands of copper' }.each do |field, value|
      account = sign_in_as('reader')
      theirs = jar
      clear_cookies
      sign_in_as('lead')
      write(:patch, "/api/people/#{account.id}", { field => value })
      expect([field, status, as(theirs)]).to eq([field, 200, 401])
    end
  end

  it 'ends when it is not used for too long, and when it is too old, however much it is used' do
    account = sign_in_as('reader')
    idle, age = %i[session_idle_hours session_age_hours].map { |id| Server::Bounds[id] * hour }
    [[{ seen_at: Time.now.utc - idle + hour }, 200], [{ seen_at: Time.now.utc - idle - 1 }, 401],
     [{ seen_at: Time.now.utc, begun_at: Time.now.utc - age + hour }, 200], [{ begun_at: Time.now.utc - age - 1 }, 401]].each do |times, code|
      sessions_of(account).update(**times)
      read('/api/session')
      expect([times.keys, status]).to eq([times.keys, code])
    end
  end

  it 'is seen once a minute, not at every request' do
    account = sign_in_as('reader')
    first = sessions_of(account).get(:seen_at)
    read('/api/session')
    expect(sessions_of(account).get(:seen_at)).to eq(first)
    sessions_of(account).update(seen_at: first - 120)
    read('/api/session')
    expect(sessions_of(account).get(:seen_at)).to be > first - 1
  end

  it 'lists where one is signed in and ends one of them, nobody else\'s' do
    account = sign_in_as('reader')
    phone = jar
    clear_cookies
    header 'User-Agent', 'Mozilla/5.0 (Linux; Android 14) Chrome/126'
    sign_in(account.email)
    here, there = read('/api/sessions')['sessions'].partition { |one| one['this'] }.map(&:first)
    expect([here['device'], there['device']]).to eq(['Chromium on Android', 'A device that does not say what it is'])
    write(:post, "/api/sessions/#{there['id']}/end")
    expect([status, read('/api/sessions')['sessions'].size]).to eq([200, 1])
    expect(as(phone)).to eq(401)
    sign_in_as('lead')
    write(:post, "/api/sessions/#{here['id']}/end")
    expect([status, error['message']]).to eq([404, 'No such session of yours'])
  end

  it 'never keeps the token itself' do
    account = sign_in_as('reader')
    expect(sessions_of(account).first.values.values.map(&:to_s)).not_to include(jar['wattomneum.session'])
  end

  it 'is not left over when a new password comes while somebody signs in with the old one' do
    account = sign_in_as('reader')
    allow(Server::Passwords).to receive(:match?).and_wrap_original do |check, *given|
      check.call(*given).tap { account.update(password_hash: Server::Passwords.digest('given meanwhile')) }
    end
    expect(sign_in(account.email)).to eq(401)
  end
end
