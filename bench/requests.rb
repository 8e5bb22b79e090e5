# frozen_string_literal: true

# Times requests against the running server, and the floor: the SQL that each of them made, replayed by as many threads.
require 'rack/mock'
require_relative 'client'

CLIENTS = 4
ROUNDS = 60
MOST_RATIO = 5.0
UUID = /\h{8}-\h{4}-\h{4}-\h{4}-\h{12}/

# Collects the statements of one request made in this process, rolled back afterwards.
class Statements
  def self.of(verb, path, body = nil)
    collector = new
    Server::DB.loggers << collector
    Server::DB.transaction(rollback: :always, auto_savepoint: true) do
      person = Server::Models::Account.first(role: 'electrician')
      token = Server::Models::Session.begin_for(person, from: { device: 'bench', client_address: '127.0.0.1' }, now: Time.now.utc)
      collector.made.clear
      env = { 'HTTP_COOKIE' => "#{Server::SessionCookie::NAME}=#{token}", 'HTTP_REQUEST_ID' => SecureRandom.uuid,
              'CONTENT_TYPE' => 'application/json', method: verb, input: body && JSON.generate(body) }
      reply = Rack::MockRequest.new(Server::Router.new).request(verb, "http://127.0.0.1#{path}", env)
      raise "#{path}: #{reply.status} #{reply.body[0, 200]}" if reply.status >= 400
    end
    Server::DB.loggers.delete(collector)
    collector.made
  end

  attr_reader :made

  def initialize = @made = []

  def info(line)
    sql = line.sub(/\A\([\d.]+s\) /, '')
    @made << sql if sql.match?(/\A(SELECT|INSERT|UPDATE|DELETE|WITH)/i)
  end

  alias debug info
  alias warn info
  alias error info
end

# Workers are made one after another: the server lets few people sign in at once.
def timed_in_threads(make_worker)
  threads = Array.new(CLIENTS) { make_worker.call }.map do |worker|
    Thread.new do
      5.times { worker.call }
      Array.new(ROUNDS) do
        start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        worker.call
        Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
      end
    end
  end
  times = threads.flat_map(&:value).sort
  times[(times.size * 0.95).floor]
end

# Fresh ids at each replay, so that inserts do not collide; all of it rolled back.
def replay(statements, own_ids)
  fresh = own_ids.to_h { |id| [id, SecureRandom.uuid] }
  Server::DB.transaction(rollback: :always) do
    statements.each { |sql| Server::DB.fetch(sql.gsub(UUID) { |id| fresh.fetch(id, id) }).all }
  end
end

unit = Server::Models::Unit.first(number: 'B-14')
job = Server::Models::Job.first(unit_id: unit.id)
reading = ->(id) { { id: id, test_key: 'posts_rest', value_text: '12.6', unit: 'V' } }
own_id = SecureRandom.uuid
electrician = Server::Models::Account.first(role: 'electrician')
spares = Array.new(40) do
  Server::Models::Job.open({ id: SecureRandom.uuid, unit_id: unit.id, complaint: 'bench', symptom: { work: 'starting' } }, by: electrician)
end
spare = spares.first

cases = {
  'unit sheet' => [->(client) { client.get("/api/units/#{unit.id}") }, Statements.of('GET', "/api/units/#{unit.id}"), []],
  'job' => [->(client) { client.get("/api/jobs/#{job.id}") }, Statements.of('GET', "/api/jobs/#{job.id}"), []],
  'reading save' => [->(client) { client.post("/api/jobs/#{spares.sample.id}/readings", reading.call(SecureRandom.uuid)) },
                     Statements.of('POST', "/api/jobs/#{spare.id}/readings", reading.call(own_id)), nil]
}
wait_for_server
failed = cases.filter_map do |name, (request, statements, own)|
  own ||= statements.grep(/\AINSERT/i).flat_map { |sql| sql.scan(UUID) }.uniq - [unit.id, spare.id] -
          Server::Models::Place.where(unit_id: unit.id).select_map(:id)
  floor = timed_in_threads(-> { -> { replay(statements, own) } })
  took = timed_in_threads(lambda {
    client = Client.new
    -> { request.call(client) }
  })
  ratio = took / floor
  puts format('%<name>-13s p95 %<took>6.1f ms, its %<count>d statements alone %<floor>6.1f ms, ratio %<ratio>.1f (at most %<most>.1f)',
              name: name, took: took * 1000, count: statements.size, floor: floor * 1000, ratio: ratio, most: MOST_RATIO)
  name if ratio > MOST_RATIO
end
abort "Too slow: #{failed.join(', ')}" if failed.any?
