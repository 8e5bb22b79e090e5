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
IN_A_ZONE = 50
CIRCUITS = Wattomneum::Circuits

def took
  start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
end

def brief(sheet) = CIRCUITS::Drawing::Brief.new(sheet).to_h

# Fuse and lamp side by side in every zone, two wires each, and ten that lead to the next zone.
def thousand_wires
  parts = [{ 'id' => 'BAT', 'kind' => 'battery', 'volt' => 25, 'zone' => 'z0' }, { 'id' => 'FRAME', 'kind' => 'body' }]
  wires = []
  ZONES.times do |zone|
    IN_A_ZONE.times do |index|
      at = (zone * IN_A_ZONE) + index
      parts << { 'id' => "F#{at}", 'kind' => 'fuse', 'rating_ampere' => 10,
'zone' => "z#{zone}" } << { 'id' => "H#{at}", 'kind' => 'load', 'watt' => 21, 'zone' => "z#{zone}" }
      wires << { 'number' => "a#{at}", 'from' => at.zero? || index.positive? ? 'BAT:+' : "F#{at - 1}:2", 'to' => "F#{at}:1", 'colour' => 'red' }
      wires << { 'number' => "b#{at}", 'from' => "F#{at}:2", 'to' => "H#{at}:1", 'colour' => 'red/white' }
    end
  end
  zones = Array.new(ZONES) { |zone| ["z#{zone}", { 'label' => "Zone #{zone}" }] }.to_h
  text = JSON.generate({ sheet: 'thousand', title: 'A thousand wires', system_volt: 24, zones: zones, components: parts, wires: wires })
  read = CIRCUITS::Notation::SheetReader.read(text)
  read.sheet || abort(read.problems.first(3).join("\n"))
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
