# frozen_string_literal: true

RSpec.describe Server::FrontEnd do
  def answered(name) = last_response.headers[name]

  it 'gives the page for any path of the application, never from a cache, with a nonce of its own each time' do
    nonces = ['/', '/units', '/circuits/some-sheet?pin=K1:30'].map do |path|
      get "#{Requests::HOST}#{path}"
      expect([status, answered('cache-control')]).to eq([200, 'no-cache'])
      answered('content-security-policy')[/nonce-([^']+)/, 1]
    end
    expect(nonces.uniq.size).to eq(3)
    expect(last_response.body).to include(nonces.last)
  end

  it 'lets nothing be loaded from elsewhere, framed, or guessed' do
    get "#{Requests::HOST}/"
    expect(answered('content-security-policy')).to include("default-src 'self'", "frame-ancestors 'none'", "base-uri 'none'")
    expect(answered('content-security-policy')).not_to include('unsafe')
    expect(answered('x-content-type-options')).to eq('nosniff')
  end

  it 'gives hashed assets for ever, and no page where an asset is missing' do
    asset = Dir[File.join(described_class::DIST, 'assets/*.js')].first
    get "#{Requests::HOST}/assets/#{File.basename(asset)}"
    expect([status, answered('cache-control')]).to match([200, include('immutable')])
    get "#{Requests::HOST}/assets/gone.js"
    expect([status, last_response.body.include?('<html')]).to eq([404, false])
  end

  it 'leaves the interface to the routes' do
    get "#{Requests::HOST}/api/nothing"
    expect([status, JSON.parse(last_response.body)['error']['code']]).to eq([404, 'not_found'])
  end
end
