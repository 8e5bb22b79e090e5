# frozen_string_literal: true

RSpec.describe Server::Models::SignInTry do
  let(:most) { Server::Bounds[:sign_in_tries] }
  let(:account) { sign_in_as('reader') }

  def try(login, password = 'wrong wrong', known: false)
    known ? forget_session : clear_cookies
    write(:post, '/api/sign-in', { login: login, password: password })
    status == 200 ? [200] : [status, error['code'], error['message'].gsub(/\d+/, 'n')]
  end

  # Signed out, at the same device.
  def forget_session = rack_mock_session.cookie_jar.delete(Server::SessionCookie::NAME)

  def wait_over = described_class.exclude(closed_until: nil).update(closed_until: Time.now.utc - 1)

  it 'answers known, unknown and blocked people alike, before and after the lock' do
    blocked = sign_in_as('driver')
    blocked.update(status_id: Server::Models::Account::BLOCKED)
    courses = [account.email, 'nobody@spec.example', blocked.email].map { |login| Array.new(most + 1) { try(login) } }
    expect(courses.uniq.size).to eq(1)
    expect([courses.first.first, courses.first.last]).to match([[401, 'wrong_password', 'E-mail or password is wrong'],
                                                                [429, 'locked', include('from this network: wait n s')]])
    expect(last_response.headers['retry-after'].to_i).to be_between(1, 15)
  end

  it 'checks a password once for each of them' do
    allow(Argon2::Password).to receive(:verify_password).and_call_original
    [account.email, 'nobody@spec.example'].each { |login| try(login) }
    expect(Argon2::Password).to have_received(:verify_password).exactly(3).times # the third was the sign-in of the account itself
  end

  it 'lets nobody in while it waits, each wait longer than the one before, and starts anew after the right password' do
    login = account.email
    most.times { try(login) }
    expect(try(login, 'long enough').first).to eq(429)
    waits = Array.new(4) do
      wait_over
      [try(login).first, described_class.where(kind: 'stranger').get(:closed_until) - Time.now.utc]
    end
    expect(waits.map(&:first)).to eq([401] * 4)
    expect(waits.map { |_, seconds| seconds.round }).to eq([30, 60, 120, 240])
    described_class.where(kind: 'stranger').update(count: 500)
    wait_over
    try(login)
    expect(described_class.where(kind: 'stranger').get(:closed_until) - Time.now.utc).to be_within(5).of(described_class::LONGEST_SECONDS)
    wait_over
    expect([try(login, 'long enough'), try(login).first]).to eq([[200], 401])
  end

  it 'is not made longer by tries while it waits, and counts anew after a day' do
    (most + 5).times { try(account.email) }
    expect(described_class.where(kind: 'stranger').get(:count)).to eq(most)
    described_class.dataset.update(wrong_at: Time.now.utc - 90_000, closed_until: nil)
    try(account.email)
    expect(described_class.where(kind: 'stranger').get(:count)).to eq(1)
  end

  it 'lets a stranger shut out neither the person at a device of theirs, nor others of the yard at theirs' do
    other = sign_in_as('driver')
    others_device = rack_mock_session.cookie_jar.dup
    account
    own_device = rack_mock_session.cookie_jar.dup
    (most + 1).times { try(account.email) }
    Server::Bounds[:sign_in_tries_of_a_network].times { |index| try("guess#{index}@spec.example") }
    expect(try(account.email, 'long enough')).to match([429, 'locked', include('from this network')])
    { own_device => account, others_device => other }.each do |device, person|
      rack_mock_session.cookie_jar = device
      expect(try(person.email, 'long enough', known: true)).to eq([200])
    end
  end

  it 'counts wrong ones at a known device too, for that person alone' do
    login = account.email
    most.times { try(login, known: true) }
    expect(try(login, 'long enough', known: true)).to match([429, 'locked', include('on this device')])
    expect(try(login, 'long enough')).to eq([200])
  end

  it 'takes a token that nobody gave out for none, and a device of somebody else for a stranger' do
    login = account.email
    other = sign_in_as('driver')
    ['x' * 3_000, 'nobodys'].each do |token|
      clear_cookies
      set_cookie("wattomneum.device=#{token}")
      try(login, known: true)
    end
    expect(described_class.where(kind: 'device').count).to eq(0)
    sign_in_as('driver')
    try(other.email, known: true)
    expect(described_class.where(kind: 'stranger').sum(:count)).to be >= 3
  end

  it 'goes on with a session that is open' do
    account
    open = rack_mock_session.cookie_jar.dup
    (most + 1).times { try(account.email) }
    rack_mock_session.cookie_jar = open
    expect(read('/api/session')['email']).to eq(account.email)
  end

  it 'lets in whom a lead lets in, also past a network that is shut, and nobody else' do
    login = account.email
    lead = sign_in_as('lead')
    signed_in = rack_mock_session.cookie_jar.dup
    (most + 1).times { try(login) }
    Server::Bounds[:sign_in_tries_of_a_network].times { |index| try("guess#{index}@spec.example") }
    rack_mock_session.cookie_jar = signed_in
    write(:post, "/api/people/#{account.id}/release")
    expect(status).to eq(200)
    expect(try('somebody@spec.example').first).to eq(429)
    expect([try(login).first, try(login, 'long enough').first]).to eq([401, 200])
    expect(lead.reload.released_until).to be_nil
    write(:post, "/api/people/#{account.id}/release")
    expect(status).to eq(403)
  end

  it 'believes nobody who says of themselves where they come from, and a proxy that was named' do
    described_class.dataset.delete
    2.times do |index|
      header 'X-Forwarded-For', "203.0.113.#{index}"
      try('x@spec.example')
    end
    expect(described_class.where(kind: 'network').select_map(%i[key count])).to eq([['127.0.0.1', 2]])
    env = { 'REMOTE_ADDR' => '10.0.0.5', 'HTTP_X_FORWARDED_FOR' => '6.6.6.6, 203.0.113.9, 10.1.2.3', 'HTTP_X_FORWARDED_HOST' => 'evil.example' }
    seen = nil
    proxies = Server::Proxies.new(->(inner) { seen = inner }, trusted: [IPAddr.new('10.0.0.0/8')])
    proxies.call(env.dup)
    expect([Server::Proxies.client_address(seen), seen['HTTP_X_FORWARDED_HOST']]).to eq(['203.0.113.9', 'evil.example'])
    Server::Proxies.new(->(inner) { seen = inner }, trusted: []).call(env.dup)
    expect([Server::Proxies.client_address(seen), seen.keys.grep(/FORWARDED/)]).to eq(['10.0.0.5', []])
    ['', 'nonsense, also', '10.9.9.9'].each do |line|
      proxies.call(env.merge('HTTP_X_FORWARDED_FOR' => line))
      expect(Server::Proxies.client_address(seen)).to eq(line.start_with?('nonsense') ? 'also' : '10.0.0.5')
    end
  end

  it 'counts the network of an IPv6 address, and keeps no e-mail' do
    described_class.dataset.delete
    %w[2001:db8::1 2001:db8::2].each { |address| described_class.note(login: 'x@spec.example', from: { client_address: address }, now: Time.now.utc) }
    expect(described_class.select_order_map(%i[kind count])).to eq([['network', 2], ['stranger', 2]])
    expect(described_class.select_map(:key).join).not_to include('spec.example')
  end

  it 'counts wrong ones of the password that is to be changed' do
    account
    change = ->(current) { write(:put, '/api/session/password', { current: current, fresh: 'wet gloves at dawn' }) }
    most.times { change.call('wrong wrong') }
    expect([status, error['fields']]).to eq([422, { 'current' => ['is not your password'] }])
    change.call('long enough')
    expect([status, error['message']]).to match([429, /Too many wrong tries of the password you have now: wait/])
    wait_over
    change.call('long enough')
    expect([status, described_class.where(kind: 'change').count]).to eq([200, 0])
  end

  it 'tells who finds no place to ask again, without counting it' do
    login = account.email
    places = Server::Bounds[:password_checks_at_once]
    gate = Queue.new
    busy = Array.new(places) { Thread.new { Server::Passwords.in_turn { gate.pop } } }
    Thread.pass until gate.num_waiting == places
    expect(try(login).first(2)).to eq([503, 'in_line'])
    expect([last_response.headers['retry-after'], described_class.where(kind: 'stranger', count: 1..).count]).to eq(['1', 0])
  ensure
    places.times { gate << :go }
    busy.each(&:join)
  end
end
