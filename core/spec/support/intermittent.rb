# frozen_string_literal: true

require 'delegate'

# A fault that comes and goes from reading to reading: there in six of ten.
class Intermittent < SimpleDelegator
  THERE = 0.6

  # @param faulty [Wattomneum::Practice::Truth, Wattomneum::Practice::Unit]
  # @param sound [Object] the same without its faults
  # @param seed [Integer]
  def initialize(faulty, sound, seed)
    super(faulty)
    @sound = sound
    @random = Random.new(seed)
  end

  def read(...) = now.read(...)

  private

  def now = @now = @random.rand < THERE ? __getobj__ : @sound
end
