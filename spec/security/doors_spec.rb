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
    expect(answered('set-cookie').to_s.downcase).to include('httponly', 'samesite=strict', 'path=/')
    expect(Array(answered('set-cookie')).join.downcase).not_to include('secure')
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
    open = ['get /health', 'post /api/sign-in', 'post /api/sign-out']
    asked = OpenapiDocument::CONTENT['paths'].flat_map { |path, verbs| (verbs.keys & %w[get post put patch delete]).map { |verb| "#{verb} #{path}" } }
    (asked - open).each do |one|
      verb, path = one.sub('{ending}', 'close').gsub(/\{\w+\}/) { SecureRandom.uuid }.split
      verb == 'get' ? read(path) : write(verb.to_sym, path, {})
      expect([one, status]).to eq([one, 401])
    end
  end

  it 'refuses bodies that are no JSON, no object, or larger than 256 kB' do
    sign_in_as('lead')
    { 'not json' => [400, 'not readable'], '[1]' => [400, 'must be a JSON object'], '0.1' => [400, 'must be a JSON object'],
      "{\"a\":\"#{'x' * 300_000}\"}" => [413, 'larger than 256 kB'] }.each do |body, (code, words)|
      write(:post, '/api/units', body)
      expect([status, error['message']]).to match([code, include(words)])
    end
  end

  it 'takes no address for another: ids that are none are not found' do
    sign_in_as('lead')
    ['/api/units/1', "/api/jobs/1' or '1'='1", '/api/circuits/none'].each do |path|
      get "#{Requests::HOST}#{path.gsub(' ', '%20')}"
      expect([path, status]).to eq([path, 404])
    end
  end

  it 'takes addresses and questions in UTF-8 and of one layer only' do
    sign_in_as('lead')
    ['/api/circuits/%00', '/api/units/%ff', '/api/find?q=%ff', '/api/find?q=a%00b', '/api/jobs?state[a]=b', '/api/jobs?state[]=b',
     '/api/jobs?a=b&a[c]=d', "/api/units/#{'x' * 600}", "/api/find?q=#{'x' * 9000}"].each do |path|
      get "#{Requests::HOST}#{path}"
      expect([path[0, 40], status, error['code']]).to eq([path[0, 40], 400, 'bad_request'])
    end
  end

  it 'takes bodies in JSON only, and of a stranger no more than 4 kB' do
    post "#{Requests::HOST}/api/sign-in", { login: 'a', password: 'b' }
    expect([status, error['message']]).to match([400, include('application/json')])
    write(:post, '/api/sign-in', { login: 'a', password: 'x' * 5000 })
    expect([status, error['message']]).to match([413, include('4 kB')])
  end

  it 'refuses what is nested too deep, too long, too many, or no text' do
    sign_in_as('lead')
    { "{\"a\":#{'[' * 40_000}" => 'nested deeper', "{\"a\":\"#{'x' * 5000}\"}" => 'longer than 4000', "{\"a\":[#{'1,' * 1001}1]}" => 'more than 1000',
      '{"a":"x\\u0000"}' => 'number zero', "{\"a\":\"\xff\"}" => 'UTF-8' }.each do |body, words|
      write(:post, '/api/units', body)
      expect([status, error['message']]).to match([400, include(words)]).or match([413, include(words)])
    end
  end

  it 'answers one place for an unknown address, in its own words for what is not there, and says which verbs an address knows' do
    sign_in_as('lead')
    get "#{Requests::HOST}/api/nowhere"
    expect([status, error['message']]).to eq([404, 'No such address'])
    read("/api/jobs/#{SecureRandom.uuid}")
    expect([status, error['message']]).to match([404, include('No such job')])
    delete "#{Requests::HOST}/api/units"
    expect([status, error['code'], answered('allow')]).to match([405, 'wrong_verb', include('GET', 'POST')])
  end
end
