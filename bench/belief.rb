# frozen_string_literal: true

# Belief on the demo fleet: how long the tables of its largest and of its smallest complaint take, a reading saved to its new card on the
# largest with its table warm, ranking anew after a reading, and what the web process weighs with ten units warm.
require_relative 'client'

CORE = Wattomneum
ROUNDS = 40
MOST = { large_table_seconds: 20.0, small_table_seconds: 3.0, ranking_seconds: 0.15, saving_seconds: 0.4, web_megabytes: 400 }.freeze
UNITS = 10

# One thing of one unit that may be complained of.
Asked = Struct.new(:unit_id, :part, :situation, :table, keyword_init: true) do
  def size = table.hypotheses.size

  # So many times so many points are solved.
  def work = size * table.machine.circuit.names.size

  def job(person)
    input = { id: SecureRandom.uuid, unit_id: unit_id, complaint: 'bench', symptom: { work: 'auxiliary_load', part: part, situation: situation } }
    Server::Models::Job.open(input, by: person)
  end
end

def seconds
  start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
end

def high(times) = times.sort[(times.size * 0.95).floor]

# What can be complained of on every unit whose circuits are drawn: each once.
def all_asked
  Server::Models::UnitSheet.current.select_map(:unit_id).uniq.flat_map do |id|
    circuits = Server::Queries::UnitCircuits.new(id)
    things = circuits.complaints.reject(&:of_loop)
    things.filter_map do |thing|
      situation = thing.situations.first or next
      machine = circuits.whole.machine
      table = CORE::Faults::Suspects::Table.new(machine, machine.sheet.part(thing.part), situation.sheet_state)
      Asked.new(unit_id: id, part: thing.part, situation: situation.key, table: table)
    end
  end
end

# As the queue worker does it, and kept where the web process looks for it.
def worked_out(job)
  suspects = Server::Queries::JobSuspects.new(Server::Queries::JobRecord.new(job))
  bytes = suspects.work_out
  Server::Models::PredictionTable.where(key: suspects.key).delete
  Server::Models::PredictionTable.create(key: suspects.key, total: 1, done: 1, volts: Sequel.blob(bytes))
end

# Takes what the card proposes, by what a sound circuit shows there.
def take_next(client, job_id)
  step = JSON.parse(client.get("/api/jobs/#{job_id}").body)['next_step']
  probe = step['probe'] or return
  seen = { observation: 'dead' } if probe['by'] == 'seen'
  input = { probe: { by: probe['by'], from: probe['from']['node'], to: probe['to']['node'], situation: probe['situation'], opened: [] },
            conditions: { value_confirmed: 'yes' }, **(seen || { value_text: probe.dig('expected', 'shown').to_s[/-?[0-9.]+/] || '0', unit: 'V' }) }
  seconds { client.post("/api/jobs/#{job_id}/readings", { id: SecureRandom.uuid, **input }) }
end

person = Server::Models::Account.first(role: 'electrician')
asked = all_asked.sort_by(&:work)
largest = asked.last
tables = [largest, asked.first].map { |one| [one, seconds { one.table.work_out }] }
belief = CORE::Faults::Suspects::Belief.new(largest.table.predictions)
from, to = largest.table.posts
candidates = largest.table.candidates.all.map { |one| one.with_minutes(3.0) }
ranking = high(Array.new(ROUNDS) do
  seconds do
    after = belief.shown(from, to, 25.0)
    CORE::Faults::Suspects::NextReading.new(after, largest.table.predictions, candidates, convicts: ->(volt) { volt.abs > 0.2 }).best
  end
end)

# The largest of the web processes.
def web_megabytes
  pid = ENV.fetch('PUMA_PID')
  pids = [pid, *Dir['/proc/[0-9]*/stat'].select { |file| File.read(file).split(') ', 2).last.split[1] == pid }.map { |file| file[/\d+/] }]
  pids.map { |one| File.read("/proc/#{one}/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024.0 }.max
end

wait_for_server
client = Client.new
cold = web_megabytes
sheet = largest.table.machine.sheet
state = CORE::Circuits::Situations.on(sheet, largest.situation).sheet_state
one_solved = seconds { CORE::Circuits::Solving::SettledStates.new(sheet.circuit).fetch(state) }
job = largest.job(person)
worked_out(job)
saving = high(Array.new(6) { largest.job(person) }.flat_map { |one| Array.new(5) { take_next(client, one.id) }.compact })
asked.uniq(&:unit_id).last(UNITS).each do |one|
  other = one.job(person)
  worked_out(other) unless one == largest
  client.get("/api/jobs/#{other.id}")
  client.get("/api/units/#{one.unit_id}")
end
warm = web_megabytes

rows = [["table, #{largest.size} faults (#{largest.part})", tables[0].last, MOST[:large_table_seconds]],
        ["table, #{asked.first.size} faults (#{asked.first.part})", tables[1].last, MOST[:small_table_seconds]],
        ['ranking anew, p95', ranking, MOST[:ranking_seconds]], ['reading to new card, p95', saving, MOST[:saving_seconds]]]
puts format('floor: that circuit solved once %<took>.1f ms, web process cold %<cold>.0f MB', took: one_solved * 1000, cold: cold)
rows.each { |name, took, most| puts format('%<name>-34s %<took>9.1f ms, at most %<most>d ms', name: name, took: took * 1000, most: most * 1000) }
units = asked.map(&:unit_id).uniq.size.clamp(..UNITS)
puts format('%<name>-34s %<warm>9.1f MB, at most %<most>d MB', name: "web process, #{units} units warm", warm: warm, most: MOST[:web_megabytes])
slow = rows.select { |_, took, most| took > most }.map(&:first)
slow << 'web process' if warm > MOST[:web_megabytes]
abort "Too much: #{slow.join(', ')}" if slow.any?
