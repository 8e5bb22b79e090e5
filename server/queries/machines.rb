# frozen_string_literal: true

require 'concurrent/atomic/semaphore'

module Server
  module Queries
    # Circuit sheets made ready to answer. What is worked out from a version and its overrides never changes, so it is kept in this
    # process; another process works it out for itself.
    module Machines
      CLOCK = -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) }
      IN_LINE = 'Other circuits are being worked out just now: try again in a moment'
      PLACES = Concurrent::Semaphore.new(Bounds[:circuit_questions_at_once])
      KEPT = LeastRecent.new(Bounds[:machines_kept])
      private_constant :PLACES, :KEPT

      # @param version [Models::SheetVersion]
      # @param overrides [Hash] by item UUID
      # @return [Wattomneum::Circuits::Machine]
      def self.of(version, overrides = {})
        KEPT.fetch([version.digest, overrides.to_h]) do
          Wattomneum::Circuits::Machine.new(version.to_core.with_overrides(overrides.to_h.transform_values(&:to_h)))
        end
      end

      # All sheets of a unit as one, with what is bolted on, and the usual ones where it has none for its start or charge circuit.
      # usual: those sheets of it that nobody drew.
      Whole = Struct.new(:machine, :assembly, :titles, :usual, keyword_init: true)

      # @param fitted [Array<Models::UnitSheet>] with their versions
      # @param system [Wattomneum::Units::ElectricalSystem] of the unit
      # @param crank_test [Wattomneum::Cranking::CrankTest, nil] its own, at whose temperature it is then shown
      # @return [Whole]
      # @raise [Wattomneum::RefusedError] if the sheets do not go together
      def self.whole(fitted, system, crank_test: nil)
        KEPT.fetch([facts(system), measured(crank_test), *fitted.map { |one| [one.version.digest, one.overrides.to_h] }]) do
          own = fitted.map { |one| of(one.version, one.overrides.to_h).sheet }
          sheets = own + Wattomneum::Circuits::UsualSheets.for(system, drawn: own)
          assembly = Wattomneum::Circuits::Assembly.new(sheets)
          warmth = crank_test ? { celsius: crank_test.celsius, crank_test: crank_test } : {}
          fitment = Wattomneum::Circuits::Fitment.new(assembly.sheet, system: system, **warmth)
          Whole.new(machine: fitment.machine, assembly: assembly, titles: sheets.map(&:title), usual: sheets - own)
        end
      end

      # @param whole [Whole]
      # @param item_uuid [String] as it was kept
      # @param pin [String]
      # @return [String, nil] node
      def self.node_of(whole, item_uuid, pin)
        ring = Wattomneum::Circuits::Points::RING
        kept = pin.delete_prefix(ring)
        pin = "#{ring}#{whole.assembly.now(kept)}" if kept != pin
        whole.machine.points.kept(whole.assembly.now(item_uuid), pin)&.node
      end

      # @param system [Wattomneum::Units::ElectricalSystem]
      # @return [Array] what of a unit its circuit is made from beside its sheets
      def self.identity(system) = facts(system)

      # What the usual sheets are made from.
      def self.facts(system)
        [system.system_volt, system.arrangement, system.battery_count, system.usual_cranking_current_ampere, system.alternator_rating_ampere,
         system.has_isolator, system.has_sense, system.regulator, system.neutral_interlock, system.grounding,
         system.batteries.transform_values { |battery| [battery.rating.sae_ampere, battery.type] }]
      end
      private_class_method :facts

      def self.measured(test)
        test && [test.rest_volt, test.posts_volt, test.drop_volt, test.ground_drop_volt, test.celsius, test.ampere]
      end
      private_class_method :measured

      # A few at once and each for a while: what takes longer is refused, and whoever asks for something else is not held up.
      #
      # @yieldreturn [Object] what the block made
      # @raise [Wattomneum::OverBudgetError, Refusals::InLine]
      def self.within_budget(&work)
        raise Refusals::InLine.new(IN_LINE, retry_after_seconds: Bounds[:wait_in_line_seconds]) unless PLACES.try_acquire(1, longest)

        begin
          in_time(&work)
        ensure
          PLACES.release
        end
      end

      # For what belongs to another answer, as the loops of a unit do: no waiting for a place.
      #
      # @yieldreturn [Object] what the block made
      # @raise [Wattomneum::OverBudgetError]
      def self.in_time(&work) = Wattomneum::Deadline.within(longest, clock: CLOCK, &work)

      # @return [Float] seconds
      def self.longest = Bounds[:circuit_question_milliseconds] / 1000.0
    end
  end
end
