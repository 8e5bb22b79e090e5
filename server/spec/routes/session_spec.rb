# frozen_string_literal: true

RSpec.describe Server::Routes::Session do
  it 'refuses everything but health to who is not signed in, and says what to do' do
    %w[/api/session /api/today /api/units /api/jobs /api/catalogue].each do |path|
      read(path)
      expect([status, error['code']]).to eq([401, 'not_signed_in'])
    end
    expect(read('/health')).to include('ok' => true)
  end

  it 'says who is signed in and what they may do' do
    sign_in_as('driver')
    expect(read('/api/session')).to include('role' => 'driver', 'may' => contain_exactly('read', 'report_fault'))
  end

  it 'answers a wrong password and an unknown person alike' do
    account = sign_in_as('reader')
    clear_cookies
    answers = [[account.email, 'wrong wrong'], ['nobody@spec.example', 'wrong wrong']].map do |login, password|
      write(:post, '/api/sign-in', { login: login, password: password })
      [status, last_response.body]
    end
    expect(answers.uniq.size).to eq(1)
    expect(answers.first.first).to eq(401)
  end

  it 'locks an account for a while after many wrong tries' do
    account = sign_in_as('reader')
    clear_cookies
    Server::SignIn::MOST_FAILURES.times { write(:post, '/api/sign-in', { login: account.email, password: 'wrong wrong' }) }
    write(:post, '/api/sign-in', { login: account.email, password: 'long enough' })
    expect(status).to eq(403)
  end

  it 'signs out' do
    sign_in_as('reader')
    write(:post, '/api/sign-out')
    read('/api/session')
    expect(status).to eq(401)
  end

  it 'refuses other hosts and other origins' do
    get 'http://evil.example/api/today'
    expect(status).to eq(403)
    sign_in_as('lead')
    header 'Origin', 'http://evil.example'
    write(:post, '/api/units', {})
    expect(status).to eq(403)
  end

  it 'keeps the session cookie from scripts and from other sites' do
    sign_in_as('reader')
    read('/api/session')
    write(:post, '/api/sign-in', { login: 'x@spec.example', password: 'y' })
    cookie = rack_mock_session.cookie_jar
    expect(cookie['wattomneum.session']).not_to be_nil
  end
end
