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

  it 'keeps the session to TLS when told to' do
    expect([described_class.new(env), described_class.new(env.merge('SESSION_SECURE' => '1'))].map(&:secure_session?)).to eq([false, true])
  end
end
