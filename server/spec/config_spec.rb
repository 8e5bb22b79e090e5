# frozen_string_literal: true

RSpec.describe Server::Config do
  let(:env) { { 'DATABASE_URL' => 'postgres://x' } }

  it 'is read once, checked and frozen' do
    expect(described_class.new(env)).to be_frozen
    expect(described_class.new(env.merge('HOSTS' => 'yard.local')).hosts).to include('127.0.0.1', 'yard.local')
  end

  it 'names what is missing' do
    expect { described_class.new({}) }.to raise_error(ArgumentError, /DATABASE_URL is not set/)
  end

  it 'trusts no proxy that was not named, and names what is none' do
    expect(described_class.new(env).proxies).to eq([])
    expect(described_class.new(env.merge('PROXIES' => '10.0.0.5, 10.1.0.0/16')).proxies.map(&:to_s)).to eq(%w[10.0.0.5 10.1.0.0])
    expect { described_class.new(env.merge('PROXIES' => 'my-proxy')) }.to raise_error(ArgumentError, /PROXIES names addresses.*my-proxy/)
  end

  it 'keeps the session to TLS when told to' do
    expect([described_class.new(env), described_class.new(env.merge('SESSION_SECURE' => '1'))].map(&:secure_session?)).to eq([false, true])
  end
end
