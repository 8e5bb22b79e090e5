# frozen_string_literal: true

require_relative 'slips'

# Somebody who does what the next step says on a unit, types what the meter shows as people type it, and slips now and then.
class Hands < Wattomneum::Practice::Technician
  CORE = Wattomneum
  # Volts typed to the nearest tenth.
  COARSE_SHARE = 0.2

  # @param unit [CORE::Practice::Vehicle, Object] or one that comes and goes
  # @param slips [Slips]
  # @param seed [Integer]
  def initialize(unit, slips:, seed:, **rest)
    super(unit, **rest)
    @slips = slips
    @digits = Random.new(seed + 11)
  end

  # @return [Float] seconds that the advice took so far
  def thought = @thought.to_f

  # @return [Array<CORE::Jobs::Repair>] of those that were proved
  def proved = assessment.proofs.select { |proof| proof.state == 'proved' }.map(&:repair)

  private

  # Who is asked for it once more types every digit.
  def read(step)
    @asked_again = step.title.include?('nce more')
    super
  end

  def tested(step)
    made = super
    return made unless made.test.quantity == 'voltage' && made.value

    value, half_digit = typed(made.value) { |shown| CORE::Readings::Plausibility.question(test: made.test, value: shown, system: @unit.system) }
    CORE::Readings::Reading.new(id: made.id, test_key: made.test_key, position: made.position, taken_at: made.taken_at, battery: made.battery,
                                value: value, conditions: made.conditions, state: made.state, round: made.round, half_digit: half_digit)
  end

  def between(step)
    made = super
    return made unless made.probe.by == 'volts' && made.value

    value, half_digit = typed(made.value) { |shown| most_volt < shown.abs }
    CORE::Readings::PointReading.new(id: made.id, probe: made.probe, taken_at: made.taken_at, value: value, conditions: made.conditions,
                                     round: made.round, half_digit: half_digit)
  end

  def most_volt = 1.4 * @unit.system.system_volt

  # What looks odd is asked about, and then looked at again.
  def typed(shown)
    slipped = @slips.call(shown)
    slipped = shown if slipped != shown && yield(slipped)
    text = @digits.rand < COARSE_SHARE && !@asked_again ? format('%.1f', slipped) : CORE::Practice::Meter.text(slipped)
    entry = CORE::Quantities::Entry.new(text: text, quantity: 'voltage')
    [entry.value, entry.half_digit]
  end
end
