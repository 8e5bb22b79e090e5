# frozen_string_literal: true

require 'net/http'
require 'socket'

# The web server as bin/start runs it: several processes, none of which may share a database connection with another.
RSpec.describe 'Several web processes' do
  let(:port) { TCPServer.open('127.0.0.1', 0) { |server| server.addr[1] } }
  let(:log) { Tempfile.new('puma') }

  def get(path, cookie = '') = Net::HTTP.start('127.0.0.1', port) { |http| http.get(path, { 'cookie' => cookie }) }

  def wait_for
    deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + 60
    begin
      get('/health')
    rescue SystemCallError
      raise if Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline

      Thread.pass
      retry
    end
  end

  around do |example|
    DemoFleet.fresh
    environment = { 'PORT' => port.to_s, 'WEB_PROCESSES' => '2', 'APP_ENV' => 'test' }
    pid = Process.spawn(environment, 'bundle', 'exec', 'puma', '-C', 'server/puma.rb', %i[out err] => log.path)
    wait_for
    example.run
  ensure
    Process.kill('TERM', pid)
    Process.wait(pid)
  end

  def cookie
    body = JSON.generate(login: 'electrician@skarrow.example', password: Demo::PASSWORD)
    reply = Net::HTTP.post(URI("http://127.0.0.1:#{port}/api/sign-in"), body, 'content-type' => 'application/json')
    reply['set-cookie'].split(';').first
  end

  it 'answers many at once from either process, and says no warning at its start' do
    signed_in = cookie
    unit = Server::Models::Unit.first(number: 'B-14')
    codes = Array.new(6) { Thread.new { Array.new(15) { get("/api/units/#{unit.id}", signed_in).code } } }.flat_map(&:value)
    expect(codes.tally).to eq('200' => 90)
    expect(File.read(log.path)).not_to match(/WARNING|failed with exception/)
  end
end
