# frozen_string_literal: true

require 'etc'
require 'json'
require 'net/http'
require 'socket'
require 'tempfile'

# The web server as bin/start runs it, in processes of its own, on a free port.
class WebServer
  START_SECONDS = 300

  attr_reader :port, :pid

  # @yieldparam server [WebServer]
  def self.run(processes: 2, **environment)
    server = new(processes, environment)
    server.wait
    yield server
  ensure
    server&.stop
  end

  def initialize(processes, environment)
    @port = TCPServer.open('127.0.0.1', 0) { |server| server.addr[1] }
    @log = Tempfile.new('puma')
    given = { 'PORT' => port.to_s, 'WEB_PROCESSES' => processes.to_s, 'APP_ENV' => 'test', 'OWNER_URL' => nil }
    @pid = Process.spawn(given.merge(environment.transform_keys(&:to_s)), 'bundle', 'exec', 'puma', '-C', 'server/puma.rb', %i[out err] => @log.path)
  end

  def words = File.read(@log.path)

  # What its processes have worked so far, in seconds of a core: however long that took beside whatever else runs on the machine.
  # @return [Float]
  def processor_seconds
    parents = Dir['/proc/[0-9]*/stat'].to_h { |file| [file[/\d+/].to_i, stat(file)[1].to_i] }
    family = [pid]
    family.each { |parent| family.concat(parents.select { |_, above| above == parent }.keys) }
    family.sum { |one| stat("/proc/#{one}/stat").values_at(11, 12).sum(&:to_f) } / Etc.sysconf(Etc::SC_CLK_TCK)
  end

  def wait
    deadline = now + START_SECONDS
    begin
      Caller.new(port).get('/health')
    rescue SystemCallError
      raise "The web server did not start: #{words}" if now > deadline

      Thread.pass
      retry
    end
  end

  def stop
    Process.kill('TERM', pid)
    Process.wait(pid)
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end

  # @return [Caller] with a connection that is kept, and no cookie yet
  def caller = Caller.new(port)

  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

  # proc(5): what follows the name, which may hold blanks; nothing where it ended meanwhile.
  def stat(file)
    File.read(file).split(') ').last.split
  rescue Errno::ENOENT, Errno::ESRCH
    []
  end
  private :stat

  # One person at one device: a connection that is kept alive and the cookie that came with signing in.
  class Caller
    attr_accessor :cookie

    def initialize(port)
      @http = Net::HTTP.new('127.0.0.1', port)
      @http.keep_alive_timeout = 30
      @http.start
    end

    def sign_in(email, password = Demo::PASSWORD)
      reply = post('/api/sign-in', { login: email, password: password })
      @cookie = reply['set-cookie']&.split(';')&.first
      reply
    end

    def get(path, headers = {}) = @http.get(path, common.merge(headers))

    def post(path, body = {}, id: SecureRandom.uuid)
      @http.post(path, JSON.generate(body), common.merge('content-type' => 'application/json', 'request-id' => id))
    end

    def close = @http.finish

    private

    def common = { 'cookie' => cookie.to_s, 'accept-encoding' => 'identity' }
  end
end
