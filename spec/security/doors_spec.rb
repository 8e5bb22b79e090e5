# frozen_string_literal: true

# What must stay shut, against the whole application as it is served.
RSpec.describe 'Doors', :server do
  def answered(name) = last_response.headers[name]

  it 'answers only to its own host names, pages and interface alike' do
    %w[/ /api/session /health].each do |path|
      get "http://evil.example#{path}"
      expect([path, status]).to eq([path, 403])
    end
  end

  it 'refuses writes that another site sends, and takes those without an origin' do
    sign_in_as('lead')
    ['http://evil.example', 'null', 'http://127.0.0.1:9999'].each do |origin|
      header 'Origin', origin
      write(:post, '/api/sign-out')
      expect([origin, status]).to eq([origin, 403])
    end
    header 'Origin', nil
    expect(read('/api/session')['role']).to eq('lead')
  end

  it 'keeps its cookie from scripts and from other sites' do
    sign_in_as('reader')
    cookie = answered('set-cookie').to_s
    expect(cookie.downcase).to include('httponly', 'samesite=strict')
  end

  it 'says the same to a wrong password as to a name nobody has' do
    account = sign_in_as('reader')
    answers = [[account.email, 'wrong one'], ['nobody@spec.example', 'wrong one']].map do |login, password|
      write(:post, '/api/sign-in', { login: login, password: password })
      [status, last_response.body.gsub(login, '')]
    end
    expect(answers.uniq.size).to eq(1)
  end

  it 'refuses everything but health and sign-in to those who are signed out' do
    id = SecureRandom.uuid
    ['/api/today', '/api/units', "/api/units/#{id}", '/api/jobs', "/api/jobs/#{id}", '/api/circuits', '/api/sums', '/api/house-rules',
     '/api/find?q=a', '/api/people', '/api/yards',
     '/api/catalogue', '/api/batteries/loose', "/api/units/#{id}/readings.csv", "/api/jobs/#{id}/export"].each do |path|
      read(path)
      expect([path, status]).to eq([path, 401])
    end
  end

  it 'refuses bodies that are no JSON, no object, or larger than 256 kB' do
    sign_in_as('lead')
    { 'not json' => 'not readable', '[1]' => 'must be a JSON object', "{\"a\":\"#{'x' * 300_000}\"}" => 'larger than 256 kB' }.each do |body, words|
      write(:post, '/api/units', body)
      expect([status, error['message']]).to match([400, include(words)])
    end
  end

  it 'takes no address for another: ids that are none are not found' do
    sign_in_as('lead')
    ['/api/units/1', "/api/jobs/1' or '1'='1", '/api/circuits/%00'].each do |path|
      get "#{Requests::HOST}#{path.gsub(' ', '%20')}"
      expect([path, status]).to eq([path, 404])
    end
  end
end
