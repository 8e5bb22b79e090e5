# frozen_string_literal: true

# Times the drawing of sheets: every one that ships, the largest in a warm program against its own arithmetic alone (one try), a sheet of 1,000
# wires by its zones.
require 'digest'
require 'json'
require 'timeout'
require_relative '../core/lib/wattomneum'

module Server
  ROOT = File.expand_path('..', __dir__)
end
require_relative '../server/bounds'
require_relative '../server/layouter'

LARGEST = 'ecu_power'
LARGEST_MOST_SECONDS = 10.0
ZONES_MOST_SECONDS = 60.0
ZONES = 10
IN_A_ZONE = 20
CIRCUITS = Wattomneum::Circuits

def took
  start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
end

def brief(sheet) = CIRCUITS::Drawing::Brief.new(sheet).to_h

# A feed stud in every zone, fed from the one before; from it fuse, switch and lamp one below the other, five wires a fuse.
def thousand_wires
  parts = [{ 'id' => 'BAT', 'kind' => 'battery', 'volt' => 25, 'zone' => 'z0' }, { 'id' => 'FRAME', 'kind' => 'body' }]
  wires = [%w[minus BAT:- FRAME]]
  ZONES.times do |zone|
    parts << { 'id' => "ST#{zone}", 'kind' => 'stud', 'zone' => "z#{zone}" }
    wires << ["feed#{zone}", zone.zero? ? 'BAT:+' : "ST#{zone - 1}", "ST#{zone}"]
    IN_A_ZONE.times { |index| lamp((zone * IN_A_ZONE) + index, zone, parts, wires) }
  end
  rows = wires.map { |number, from, to| { 'number' => number, 'from' => from, 'to' => to, 'colour' => 'red/white' } }
  zones = Array.new(ZONES) { |zone| ["z#{zone}", { 'label' => "Zone #{zone}" }] }.to_h
  text = JSON.generate({ sheet: 'thousand', title: 'A thousand wires', system_volt: 24, zones: zones, components: parts, wires: rows })
  read = CIRCUITS::Notation::SheetReader.read(text)
  read.sheet || abort(read.problems.first(3).join("\n"))
end

def lamp(at, zone, parts, wires)
  parts << { 'id' => "F#{at}", 'kind' => 'fuse', 'rating_ampere' => 10 } << { 'id' => "S#{at}", 'kind' => 'switch', 'closed_in' => ['key_on'] } <<
    { 'id' => "X#{at}", 'kind' => 'connector', 'ways' => 2 } << { 'id' => "H#{at}", 'kind' => 'load', 'watt' => 21 }
  parts.last(4).each { |part| part['zone'] = "z#{zone}" }
  wires.push(["a#{at}", "ST#{zone}", "F#{at}:1"], ["b#{at}", "F#{at}:2", "S#{at}:1"], ["c#{at}", "S#{at}:2", "X#{at}:a/1"],
             ["d#{at}", "X#{at}:b/1", "H#{at}:1"], ["e#{at}", "H#{at}:2", 'FRAME'])
end

layouter = Server::Layouter.new
once = Server::Layouter.new(seeds: 1)
largest = brief(CIRCUITS::Library.fetch(LARGEST))
cold = took { layouter.draw(largest) }
warm = Array.new(3) { took { layouter.draw(largest) } }.max
floor = Array.new(3) { took { once.draw(largest) } }.min
all = CIRCUITS::Library.keys.to_h { |key| [key, took { layouter.draw(brief(CIRCUITS::Library.fetch(key))) }] }
zones = nil
by_zones = took { zones = once.draw(brief(thousand_wires))['pictures'] }
[layouter, once].each(&:stop)

puts format('largest sheet: first %<cold>.1f s, warm at most %<warm>.1f s with four tries; one try %<floor>.1f s',
            cold: cold, warm: warm, floor: floor)
puts format('all %<count>d that ship: %<sum>.1f s, the slowest %<most>.1f s', count: all.size, sum: all.values.sum, most: all.values.max)
widest = zones.map { |one| one['width'] }.max
puts format('1,000 wires in %<pictures>d pictures: %<seconds>.1f s, the widest %<width>d units', pictures: zones.size, seconds: by_zones,
width: widest)
LIMITS = { 'largest sheet, warm' => [warm, LARGEST_MOST_SECONDS], '1,000 wires by zones' => [by_zones, ZONES_MOST_SECONDS] }.freeze
late = LIMITS.select { |_, (seconds, most)| seconds > most }
late.each do |what, (seconds, most)|
  puts format('TOO SLOW: %<what>s took %<seconds>.1f s, at most %<most>.1f', what: what, seconds: seconds, most: most)
end
exit(late.empty? ? 0 : 1)
