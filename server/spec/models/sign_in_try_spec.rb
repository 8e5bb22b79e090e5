# frozen_string_literal: true

RSpec.describe Server::Models::SignInTry do
  let(:most) { Server::Bounds[:sign_in_tries] }
  let(:account) { sign_in_as('reader') }

  def try(login, password = 'wrong wrong')
    clear_cookies
    write(:post, '/api/sign-in', { login: login, password: password })
    [status, error['code'], error['message'].gsub(/\d+/, 'n')]
  end

  it 'answers known, unknown and blocked people alike, before and after the lock' do
    blocked = sign_in_as('driver')
    blocked.update(status_id: Server::Models::Account::BLOCKED)
    courses = [account.email, 'nobody@spec.example', blocked.email].map { |login| Array.new(most + 1) { try(login) } }
    expect(courses.uniq.size).to eq(1)
    expect([courses.first.first, courses.first.last]).to match([[401, 'wrong_password', 'E-mail or password is wrong'],
                                                                [429, 'locked', include('wait n min')]])
    expect(last_response.headers['retry-after'].to_i).to be_between(60, 15 * 60)
  end

  it 'checks a password once for each of them' do
    allow(Argon2::Password).to receive(:verify_password).and_call_original
    [account.email, 'nobody@spec.example'].each { |login| try(login) }
    expect(Argon2::Password).to have_received(:verify_password).exactly(3).times # the third was the sign-in of the account itself
  end

  it 'lets nobody in while locked, but goes on with a session that is open, and lets in after the window' do
    account
    open = rack_mock_session.cookie_jar
    (most + 1).times { try(account.email) }
    expect(try(account.email, 'long enough').first).to eq(429)
    rack_mock_session.cookie_jar = open
    expect(read('/api/session')['email']).to eq(account.email)
    described_class.dataset.update(since: Time.now.utc - described_class::WINDOW_SECONDS - 1)
    write(:post, '/api/sign-in', { login: account.email, password: 'long enough' })
    expect(status).to eq(200)
  end

  it 'starts anew after the right password' do
    (most - 1).times { try(account.email) }
    write(:post, '/api/sign-in', { login: " #{account.email.upcase}", password: 'long enough' })
    expect([status, try(account.email).first]).to eq([200, 401])
  end

  it 'counts a client over all the names it tries' do
    Server::Bounds[:sign_in_tries_of_a_client].times { |index| try("guess#{index}@spec.example") }
    expect(try('one.more@spec.example')).to match([429, 'locked', include('from this network')])
  end

  it 'counts the network of an IPv6 address, and keeps no e-mail' do
    described_class.note(login: 'x@spec.example', client_address: '2001:db8::1', now: Time.now.utc)
    described_class.note(login: 'x@spec.example', client_address: '2001:db8::2', now: Time.now.utc)
    expect(described_class.exclude(count: 0).select_order_map(%i[kind count])).to eq([['client', 2], ['login', 2]])
    expect(described_class.select_map(:key).join).not_to include('spec.example')
  end

  it 'tells who finds no place to ask again, without counting it' do
    login = account.email
    places = Server::Bounds[:password_checks_at_once]
    gate = Queue.new
    busy = Array.new(places) { Thread.new { Server::Passwords.in_turn { gate.pop } } }
    Thread.pass until gate.num_waiting == places
    expect(try(login).first(2)).to eq([503, 'in_line'])
    expect([last_response.headers['retry-after'], described_class.where(kind: 'login', count: 1..).count]).to eq(['1', 0])
  ensure
    places.times { gate << :go }
    busy.each(&:join)
  end
end
