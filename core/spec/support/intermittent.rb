# frozen_string_literal: true

require 'delegate'

# A fault that comes and goes from reading to reading.
class Intermittent < SimpleDelegator
  THERE = 0.6

  def initialize(faulty, sound, seed)
    super(faulty)
    @sound = sound
    @random = Random.new(seed)
  end

  def read(...) = @random.rand < THERE ? super : @sound.read(...)
end
