# frozen_string_literal: true

RSpec.describe Server::Routes::People do
  def fields(**changes)
    { name: 'Ivo Sand', email: "ivo#{SecureRandom.hex(3)}@spec.example", role: 'driver', password: 'first words of many', **changes }
  end

  def row(email) = read('/api/people')['people'].find { |one| one['email'] == email }

  def sign_in(email, password)
    write(:post, '/api/sign-in', { login: email, password: password })
    status
  end

  it 'lets a lead add a person, who signs in with the first password and changes it' do
    sign_in_as('lead')
    ivo = fields
    write(:post, '/api/people', ivo.merge(email: " #{ivo[:email].upcase} "))
    expect([status, row(ivo[:email])]).to match([201, include('name' => 'Ivo Sand', 'role' => 'driver', 'blocked' => false)])
    clear_cookies
    sign_in(" #{ivo[:email].capitalize}", ivo[:password])
    expect(read('/api/session')).to include('name' => 'Ivo Sand', 'role' => 'driver')
    write(:put, '/api/session/password', { current: 'first words of many', fresh: 'wet gloves at dawn' })
    expect([status, read('/api/session')['name']]).to eq([200, 'Ivo Sand'])
    clear_cookies
    expect([sign_in(ivo[:email], 'first words of many'), sign_in(ivo[:email], 'wet gloves at dawn')]).to eq([401, 200])
  end

  it 'keeps passwords out of replies, the audit and the record of requests' do
    lead = sign_in_as('lead')
    ivo = fields
    id = SecureRandom.uuid
    write(:post, '/api/people', ivo, request_id: id)
    account = Server::Models::Account.first(email: ivo[:email])
    entry = Server::DB[:audit].where(table_name: 'account', row_id: account.id.to_s).first
    expect([entry[:person_id], entry[:after].key?('password_hash')]).to eq([lead.id, false])
    digest = Server::Models::Request.with_pk!(id).body_digest
    expect(digest).not_to eq(Digest::SHA256.hexdigest("POST /api/people #{JSON.generate(ivo)}"))
    asked = { id: SecureRandom.uuid, verb: 'POST', path: '/api/people', body: JSON.parse(JSON.generate(ivo)) }
    salted = [asked, { **asked, id: SecureRandom.uuid }].map { |one| Server::Models::Request::Asked.new(**one).digest }
    expect(salted.uniq.size).to eq(2)
    expect(last_response.body).not_to include('password')
  end

  it 'blocks at once, sessions that are open included, and lets back in' do
    sign_in_as('lead')
    ivo = fields
    write(:post, '/api/people', ivo)
    id = row(ivo[:email])['id']
    lead_cookies = rack_mock_session.cookie_jar
    clear_cookies
    sign_in(ivo[:email], ivo[:password])
    theirs = rack_mock_session.cookie_jar
    rack_mock_session.cookie_jar = lead_cookies
    write(:patch, "/api/people/#{id}", { blocked: true })
    expect([status, row(ivo[:email])['blocked']]).to eq([200, true])
    rack_mock_session.cookie_jar = theirs
    read('/api/session')
    expect([status, sign_in(ivo[:email], ivo[:password])]).to eq([401, 401])
    rack_mock_session.cookie_jar = lead_cookies
    write(:patch, "/api/people/#{id}", { blocked: false })
    clear_cookies
    expect(sign_in(ivo[:email], ivo[:password])).to eq(200)
  end

  it 'ends other sessions when a password changes, and keeps the one it was changed in' do
    account = sign_in_as('electrician')
    elsewhere = rack_mock_session.cookie_jar
    clear_cookies
    sign_in(account.email, 'long enough')
    write(:put, '/api/session/password', { current: 'long enough', fresh: 'nine cold copper strands' })
    expect(read('/api/session')['email']).to eq(account.email)
    rack_mock_session.cookie_jar = elsewhere
    read('/api/session')
    expect(status).to eq(401)
  end

  it 'says what is wrong with a person, and adds none' do
    lead = sign_in_as('lead')
    { { email: 'no at sign' } => ['email', 'is no e-mail address'], { role: 'king' } => ['role', 'is none of these'],
      { password: 'short' } => ['password', 'needs 10 letters or more'], { name: ' ' } => ['name', 'is empty: fill it in'],
      { email: lead.email.upcase } => ['email', 'somebody has this e-mail already'] }.each do |change, (field, words)|
      write(:post, '/api/people', fields(**change))
      expect([change, status, last_response.body]).to match([change, 422, include(words)])
      expect(error['fields']).to include(field)
    end
    expect(Server::Models::Account.where(name: 'Ivo Sand').count).to eq(0)
  end

  it 'refuses to leave the fleet without a lead' do
    lead = sign_in_as('lead')
    Server::Models::Account.where(role: 'lead').exclude(id: lead.id).update(role: 'reader')
    [{ role: 'electrician' }, { blocked: true }].each do |change|
      write(:patch, "/api/people/#{lead.id}", change)
      expect([status, error['message']]).to match([422, include('There must be a lead')])
    end
    write(:post, '/api/people', fields(role: 'lead'))
    write(:patch, "/api/people/#{lead.id}", { role: 'electrician' })
    expect(status).to eq(200)
    read('/api/people')
    expect(status).to eq(401)
    sign_in(lead.email, 'long enough')
    read('/api/people')
    expect(status).to eq(403)
  end

  it 'refuses the wrong present password, anybody but a lead, and people who are not there' do
    sign_in_as('electrician')
    write(:put, '/api/session/password', { current: 'not mine at all', fresh: 'nine cold copper strands' })
    expect([status, error['fields'].keys]).to eq([422, ['current']])
    write(:post, '/api/people', fields)
    expect(status).to eq(403)
    sign_in_as('lead')
    %w[999999999 abc].each do |id|
      write(:patch, "/api/people/#{id}", { role: 'driver' })
      expect([id, status]).to eq([id, 404])
    end
  end

  it 'lets no password hash into a statement that fails, which the database would write into its log' do
    lead = sign_in_as('lead')
    log = StringIO.new
    Server::DB.loggers << Logger.new(log)
    write(:post, '/api/people', fields(email: lead.email))
    write(:post, '/api/people', other = fields)
    write(:patch, "/api/people/#{row(other[:email])['id']}", { email: lead.email, password: 'cold strands of copper' })
    expect([status, log.string]).to match([422, include('ERROR')])
    expect(log.string.lines.grep(/ERROR/).join).not_to include('$argon2')
  ensure
    Server::DB.loggers.clear
  end
end
