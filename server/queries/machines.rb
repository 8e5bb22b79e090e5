# frozen_string_literal: true

module Server
  module Queries
    # Circuit sheets made ready to answer. What is worked out from a version and its overrides never changes, so it is kept in this
    # process; another process works it out for itself.
    module Machines
      IN_LINE = 'Other circuits are being worked out just now: try again in a moment'
      PLACES = FairPlaces.new(Bounds[:circuit_questions_at_once], waiting_each: Bounds[:circuit_questions_waiting],
                                                                  wait_seconds: Bounds[:circuit_questions_wait_seconds], words: IN_LINE)
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

      # Settled in every key state, so that whoever has it can ask. That sheets are more than is worked out at once is known of them from then
      # on like everything else: it hangs on what they say, and on nothing that happens meanwhile.
      #
      # @param fitted [Array<Models::UnitSheet, JobCircuit::Held>] with their versions
      # @param system [Wattomneum::Units::ElectricalSystem] of the unit
      # @param crank_test [Wattomneum::Cranking::CrankTest, nil] its own, at whose temperature it is then shown
      # @return [Whole]
      # @raise [Wattomneum::SheetsDisagreeError] if the sheets do not go together
      # @raise [Wattomneum::OverBudgetError] if they are more than is worked out at once
      def self.whole(fitted, system, crank_test: nil)
        found = KEPT.fetch([facts(system), measured(crank_test), *fitted.map { |one| [one.version.digest, one.overrides.to_h] }]) do
          put_together(fitted.map { |one| of(one.version, one.overrides.to_h).sheet }, system, crank_test)
        rescue Wattomneum::OverBudgetError => e
          e
        end
        found.is_a?(Whole) ? found : raise(found)
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

      def self.put_together(own, system, crank_test)
        within_steps(Bounds[:circuit_settling_steps]) do
          sheets = own + Wattomneum::Circuits::UsualSheets.for(system, drawn: own)
          assembly = Wattomneum::Circuits::Assembly.new(sheets)
          warmth = crank_test ? { celsius: crank_test.celsius, crank_test: crank_test } : {}
          machine = Wattomneum::Circuits::Fitment.new(assembly.sheet, system: system, **warmth).machine.tap { |one| one.settled.all }
          Whole.new(machine: machine, assembly: assembly, titles: sheets.map(&:title), usual: sheets - own)
        end
      end
      private_class_method :put_together

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

      # A question of one person: a few at once, each so much work and no more. What is more is refused, and whoever asks for something else is
      # not held up.
      #
      # @param person [Models::Account, nil] who asks; nil for the program itself
      # @yieldreturn [Object] what the block made
      # @raise [Wattomneum::OverBudgetError, Refusals::InLine]
      def self.asked_by(person, &work) = PLACES.take(person&.id) { within_steps(most_steps, &work) }

      # @param steps [Integer]
      # @yieldreturn [Object] what the block made
      # @raise [Wattomneum::OverBudgetError]
      def self.within_steps(steps, &work) = Wattomneum::Effort.within(steps, &work)

      # @return [Integer] of one question
      def self.most_steps = Bounds[:circuit_question_steps]
    end
  end
end
