# frozen_string_literal: true

require_relative 'intermittent'

# A unit whose faults come and go from try to try.
class ComesAndGoes < Intermittent
  # An engine is turned by hand right after the last try.
  def measure(test_key, **rest) = (test_key == 'engine_by_hand' ? @now || now : now).measure(test_key, **rest)

  def mend(**what)
    @sound.mend(**what)
    super
  end

  def charge(position)
    @sound.charge(position)
    super
  end
end
