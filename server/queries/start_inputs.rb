# frozen_string_literal: true

module Server
  module Queries
    # What is known of one unit's start: its last crank test that still holds, or its labels and its tester, and the usual current.
    class StartInputs
      CORE = Wattomneum
      # Where nobody said how warm it was, and how far that may be off.
      UNSAID = CORE::ColdStart::Inputs::Input.new(value: 12.0, spread: 8.0)
      private_constant :UNSAID
      # inputs: of the forecast; read_at and drop_volt: of the crank test, nil where there was none, or drops were not read
      Found = Struct.new(:inputs, :read_at, :drop_volt, keyword_init: true)

      # @param unit [Models::Unit]
      def initialize(unit)
        @unit = unit
      end

      # @return [Found, nil] nil where nothing can be forecast: no starter, no battery, or none of lead and acid
      def call
        return unless system.starter? && system.battery? && system.lead_acid?

        CrankRounds.new(@unit.id, since: Models::Fitting.changed_at([@unit.id])[@unit.id]).all.lazy.filter_map do |round|
          tested(round)
        end.first || untested
      end

      # @return [Wattomneum::Units::ElectricalSystem] with the batteries that stand in it
      def system = @system ||= @unit.core_system(fittings.to_h { |fitting| [fitting.position, fitting.battery.to_core] })

      # @param celsius [Float] of the crank test
      # @return [CORE::ColdStart::BankParts]
      def bank(**celsius) = CORE::ColdStart::BankParts.new((@labelled ||= LabelledBank.new(fittings, system)).parts, system: system, **celsius)

      # What each thing that may be done would win.
      #
      # @param found [Found]
      # @param charge [CORE::ColdStart::Evening::Charge]
      # @param may_freeze [Boolean] whether its batteries may be ice
      # @param limits [CORE::Limits::Table]
      # @return [Array<CORE::ColdStart::Remedies::Remedy>] the most first
      def remedies(found, charge:, limits:, may_freeze: false)
        sound = found.drop_volt && CORE::ColdStart::Remedies.sound_drop_volt(system, limits: limits)
        CORE::ColdStart::Remedies.new(found.inputs, charge: charge, sound_drop_volt: sound, may_freeze: may_freeze,
                                                    bank: bank(celsius: found.inputs.value(:test_celsius))).all
      end

      private

      def fittings = @fittings ||= Models::Fitting.current.where(unit_id: @unit.id).eager(:battery).all
      def aids = { heat_aid: @unit.heat_aid, control_unit: @unit.control_unit }
      def usual_drop = system.blocks_in_series * CORE::ColdStart::Table.figure('untested', 'drop_volt')

      def tested(round)
        test = CORE::Cranking::CrankTest.new(
          rest_volt: round.rest_volt, posts_volt: round.posts_volt, drop_volt: round.drop_volt || usual_drop, ampere: round.ampere,
          speed_rpm: round.speed_rpm,
          celsius: round.celsius || UNSAID.value, batteries_in_series: system.blocks_in_series
        )
        Found.new(inputs: CORE::ColdStart::Inputs.of_test(test, **aids, known: unread(round)), read_at: round.taken_at, drop_volt: round.drop_volt)
      rescue CORE::InvalidQuantityError
        nil
      end

      # What was not read may be off by more.
      def unread(round)
        spread = usual_drop * CORE::ColdStart::Table.figure('untested', 'drop_spread_ratio')
        { **(round.drop_volt ? {} : { drop_volt: CORE::ColdStart::Inputs::Input.new(value: usual_drop, spread: spread) }),
          **(round.celsius ? {} : { test_celsius: UNSAID }) }
      end

      def untested
        inputs = CORE::ColdStart::Inputs.untested(bank_ohm: bank.usual_ohm, cranking_ampere: system.usual_cranking_current_ampere,
                                                  batteries_in_series: system.blocks_in_series, **aids)
        Found.new(inputs: inputs)
      rescue CORE::InvalidQuantityError
        nil
      end
    end
  end
end
