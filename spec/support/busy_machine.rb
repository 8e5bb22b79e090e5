# frozen_string_literal: true

# Four processes that want all they can get of a core.
module BusyMachine
  COUNT = 4

  def self.while_busy
    busy = Array.new(COUNT) { Process.spawn('ruby', '-e', 'loop { 1_000.times { |n| n * n } }') }
    yield
  ensure
    busy&.each do |pid|
      Process.kill('KILL', pid)
      Process.wait(pid)
    end
  end
end
