# frozen_string_literal: true

require 'delegate'

# A unit whose faults are there in six tries of ten, and gone in the others.
class ComesAndGoes < SimpleDelegator
  THERE = 0.6

  # @param faulty [Wattomneum::Practice::Unit]
  # @param sound [Wattomneum::Practice::Unit] the same without its faults
  # @param seed [Integer]
  def initialize(faulty, sound, seed)
    super(faulty)
    @sound = sound
    @random = Random.new(seed)
  end

  # An engine is turned by hand right after the last try.
  def measure(test_key, **rest) = (test_key == 'engine_by_hand' ? @now || now : now).measure(test_key, **rest)
  def read(...) = now.read(...)

  def mend(**what)
    @sound.mend(**what)
    super
  end

  def charge(position)
    @sound.charge(position)
    super
  end

  private

  def now = @now = @random.rand < THERE ? __getobj__ : @sound
end
