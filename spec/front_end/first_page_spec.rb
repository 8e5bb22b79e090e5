# frozen_string_literal: true

require 'zlib'

# What a phone in a yard has to fetch before it shows who is signed in and what is down: counted from the built page, packed as it is sent.
RSpec.describe 'The first page' do
  let(:folder) { File.expand_path('../../web/dist', __dir__) }

  def packed(path) = Zlib.gzip(File.binread(File.join(folder, path)), level: 9).bytesize

  it 'asks for less than 120 kB of code' do
    scripts = File.read(File.join(folder, 'index.html')).scan(%r{/assets/[\w.-]+\.js}).uniq
    expect(scripts.size).to be_between(2, 12)
    expect(scripts.sum { |path| packed(path) }).to be < 120_000
  end
end
