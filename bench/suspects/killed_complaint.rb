# frozen_string_literal: true

require_relative 'complaint'

# A magneto that lost its spark. Its branches come off one by one; which comes off next is what ways of choosing differ in.
class KilledComplaint < Complaint
  # Closed when it should be open.
  STUCK_SHARE = 0.35
  RIVALS = {
    'half-splitting' => ->(tests, evenness) { tests.max_by { |test| evenness.call(test) } },
    'fixed order' => ->(tests, _) { tests.first },
    'cheapest first' => ->(tests, _) { tests.min_by(&:minutes) }
  }.freeze

  # Ways of choosing, the application's first.
  def runs
    { 'order of work' => ->(complaint, truth) { KilledProduct.new(complaint, truth, table: nil) } }.merge(
      RIVALS.transform_values { |choice| ->(complaint, truth) { KilledSearch.new(complaint, truth, choice) } }
    )
  end

  def fault(random) = random.rand < STUCK_SHARE ? FAULT.stuck(switches.sample(random: random)) : short(random)

  private

  def switches = sheet.parts.grep(CORE::Circuits::Parts::Switch).map(&:id)
  def wires = @wires ||= machine.circuit.items.select { |item| item.kind == 'wire' }
end
