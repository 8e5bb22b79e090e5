# frozen_string_literal: true

require 'open3'
require 'tmpdir'

# The application as people start it: bin/start in a folder of its own for database, logs and locks.
class WholeHouse
  # bin/start waits as long as its server lives, and a busy machine takes its time: this ends only what would never come up.
  READY_SECONDS = 900
  attr_reader :port, :state, :environment

  # @param arguments [Array<String>] of bin/start
  # @yieldparam house [WholeHouse]
  def self.run(arguments: [], **environment)
    Dir.mktmpdir do |state|
      house = new(state, environment, arguments: arguments)
      house.start
      yield house
    ensure
      house&.stop
    end
  end

  def initialize(state, environment = {}, arguments: [])
    @arguments = arguments
    FileUtils.chmod(0o755, state) # the database's own user passes through
    @state = state
    @port = TCPServer.open('127.0.0.1', 0) { |server| server.addr[1] }
    @environment = { 'DATABASE_URL' => nil, 'OWNER_URL' => nil, 'APP_ENV' => 'test', 'PORT' => port.to_s, 'STATE_DIR' => state,
                     'TEST_ENV_NUMBER' => nil }.merge(environment.to_h { |name, value| [name.to_s, value&.to_s] })
  end

  def start
    @status = nil
    @pid = Process.spawn(@environment, 'bin/start', *@arguments, %i[out err] => log, pgroup: true)
    wait_until(READY_SECONDS) { words.include?('Ctrl-C stops it.') || !alive? }
    raise "bin/start did not come up: #{words}" unless alive?

    # The worker comes last, and is somebody else until it has loaded itself.
    wait_until(READY_SECONDS) { queue_worker || !alive? }
  end

  def log = File.join(state, 'start.out')
  def words = File.read(log)

  # The start itself and nothing that it runs, as when somebody kills it by force.
  def kill
    Process.kill('KILL', @pid)
    ended
  end

  # @return [Process::Status] how it ended
  def stop
    Process.kill('TERM', @pid) if alive?
    ended
  end

  def ended
    wait_until(300) { !alive? }
    @status
  end

  def alive?
    return false if @status

    @status = Process.wait2(@pid, Process::WNOHANG)&.last
    @status.nil?
  end

  def caller = WebServer::Caller.new(port)

  # Who serves, by name.
  # The weather stand-in is a puma too: the one that people ask is told by its port, and by its settings until it listens.
  def web_master = children_of(@pid).find { |pid| command(pid).match?(%r{puma .*(?::#{port}\)|server/puma\.rb)}) }
  def web_workers = children_of(web_master).select { |pid| command(pid).include?('cluster worker') }
  def queue_worker = children_of(@pid).find { |pid| command(pid).include?('que') }
  def postmaster = File.read(File.join(state, 'pg/postmaster.pid')).to_i
  def environment_of(pid) = environment_in("/proc/#{pid}/environ")
  def running?(pid) = File.exist?("/proc/#{pid}/cmdline") && !command(pid).empty?

  def environment_in(file)
    File.read(file).split("\0").to_h { |entry| entry.split('=', 2) }
  rescue SystemCallError
    {} # gone meanwhile
  end

  def wait_until(seconds)
    deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
    until yield
      raise "waited #{seconds} s in vain: #{words}" if Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline

      IO.select(nil, nil, nil, 0.05)
    end
  end

  private

  def children_of(pid) = File.read("/proc/#{pid}/task/#{pid}/children").split.map(&:to_i)

  def command(pid)
    File.read("/proc/#{pid}/cmdline").tr("\0", ' ')
  rescue SystemCallError
    ''
  end
end
