# frozen_string_literal: true

RSpec.describe Server::Config do
  let(:env) { { 'DATABASE_URL' => 'postgres://x', 'SESSION_SECRET' => 's' * 64 } }

  it 'is read once, checked and frozen' do
    expect(described_class.new(env)).to be_frozen
    expect(described_class.new(env.merge('HOSTS' => 'yard.local')).hosts).to include('127.0.0.1', 'yard.local')
  end

  it 'names what is missing' do
    expect { described_class.new(env.except('DATABASE_URL')) }.to raise_error(ArgumentError, /DATABASE_URL is not set/)
    expect { described_class.new(env.merge('SESSION_SECRET' => 'short')) }.to raise_error(ArgumentError, /64 bytes/)
  end
end
