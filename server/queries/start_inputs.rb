# frozen_string_literal: true

module Server
  module Queries
    # What is known of one unit's start: the last crank test of its bank, or its labels and its tester, and the usual current. From what is
    # kept of units and batteries (Models::StartState, Models::BatteryState), so that a whole fleet is a handful of queries.
    class StartInputs
      CORE = Wattomneum
      # Where nobody said how warm it was, and how far that may be off.
      UNSAID = CORE::ColdStart::Inputs::Input.new(value: 12.0, spread: 8.0)
      private_constant :UNSAID
      # inputs: of the forecast; read_at and drop_volt: of the crank test, nil where there was none, or drops were not read; mended_since: whether
      # the start was mended after it
      Found = Struct.new(:inputs, :read_at, :drop_volt, :mended_since, keyword_init: true) do
        # @return [Boolean] whether it was cranked as it is now
        def tested? = !read_at.nil? && !mended_since
      end

      # @param unit [Models::Unit]
      # @return [StartInputs]
      def self.of(unit) = of_each([unit]).first

      # SQL: select fitting.unit_id, position, battery.*, health_percent, rest_volt from fitting join battery left join battery_state
      #      where upper_inf(during) and unit_id in ?
      #
      # @param units [Array<Models::Unit>]
      # @return [Array<StartInputs>] in their order
      def self.of_each(units)
        ids = units.map(&:id)
        fitted = LabelledBank.in_units(ids)
        states = Models::StartState.where(unit_id: ids).to_hash(:unit_id)
        units.map { |unit| new(unit, fitted: fitted.fetch(unit.id, []), state: states[unit.id]) }
      end

      attr_reader :unit

      # @param unit [Models::Unit]
      # @param fitted [Array<LabelledBank::Fitted>] what stands in it now
      # @param state [Models::StartState, nil]
      def initialize(unit, fitted:, state: nil)
        @unit = unit
        @fitted = fitted
        @state = state
      end

      # @param state [Models::StartState]
      # @return [StartInputs] the same batteries, and what is kept of its readings by now
      def with(state) = self.class.new(@unit, fitted: @fitted, state: state)

      # @return [Found, nil] nil where nothing can be forecast: no starter, no battery, or none of lead and acid
      def call
        return unless foreseeable?

        tested(@state) || untested
      end

      # @return [Boolean] whether it has a starter, and batteries of lead and acid
      def foreseeable? = system.starter? && system.battery? && system.lead_acid?

      # @param test [#rest_volt, #posts_volt, #drop_volt, #celsius, #ampere, #speed_rpm, #mended_since, nil] a crank test: a round or what is kept
      #   of one
      # @return [Found, nil] nil where it is none that anything follows from
      def tested(test)
        return if test&.posts_volt.nil?

        Found.new(inputs: CORE::ColdStart::Inputs.of_test(crank_test(test), **aids, known: unread(test)), read_at: test.cranked_at,
                  drop_volt: (test.drop_volt unless test.mended_since), mended_since: test.mended_since)
      rescue CORE::InvalidQuantityError
        nil
      end

      # @return [Wattomneum::Units::ElectricalSystem] with the batteries that stand in it
      def system = @system ||= @unit.core_system(@fitted.to_h { |one| [one.position, one.battery] })

      # @return [Float] Ah of its bank, by its labels or as usual
      def capacity_ampere_hour
        system.capacity_ampere_hour(usual_ampere_hour: CORE::ColdStart::Table.figure('labels', 'capacity_ampere_hour'))
      end

      # @return [Float, nil] A, what was measured of it asleep
      def asleep_ampere = @state&.asleep_ampere

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

      def bank(**celsius) = CORE::ColdStart::BankParts.new(LabelledBank.parts(@fitted, system), system: system, **celsius)
      def aids = { heat_aid: @unit.heat_aid, control_unit: @unit.control_unit }
      def usual_drop = system.blocks_in_series * CORE::ColdStart::Table.figure('untested', 'drop_volt')

      def crank_test(test)
        CORE::Cranking::CrankTest.new(rest_volt: test.rest_volt, posts_volt: test.posts_volt, drop_volt: test.drop_volt || usual_drop,
                                      ampere: test.ampere, speed_rpm: test.speed_rpm, celsius: test.celsius || UNSAID.value,
                                      batteries_in_series: system.blocks_in_series)
      end

      # What was not read may be off by more.
      def unread(test)
        spread = usual_drop * CORE::ColdStart::Table.figure('untested', 'drop_spread_ratio')
        { **(test.drop_volt ? {} : { drop_volt: CORE::ColdStart::Inputs::Input.new(value: usual_drop, spread: spread) }),
          **(test.celsius ? {} : { test_celsius: UNSAID }) }
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
