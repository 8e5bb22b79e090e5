# frozen_string_literal: true

require 'delegate'

# Readings of volts that are not what the meter showed.
class Mistaken < SimpleDelegator
  # @yieldparam count [Integer] readings of volts so far
  # @yieldparam roll [Float] 0 to 1
  # @yieldreturn [Boolean] whether this one is
  def initialize(truth, system_volt, seed, &mistaken)
    super(truth)
    @system_volt = system_volt
    @random = Random.new(seed)
    @mistaken = mistaken
    @count = 0
  end

  def read(method, ...)
    shown = super
    return shown unless method == 'volts'

    @count += 1
    @mistaken.call(@count, @random.rand) ? shown.dup.tap { |one| one.value = (@random.rand * @system_volt).round(2) } : shown
  end
end
