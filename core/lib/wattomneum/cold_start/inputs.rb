# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # What is known of one unit's start, and how well.
    class Inputs
      # By its key in core/data/cold_start.yml: what it is, how far it may be off.
      Input = Struct.new(:value, :spread, keyword_init: true)
      KEYS = Table::INPUTS.keys.map(&:to_sym).freeze
      # Deviations of the bank's resistance and of the current both move the posts of a unit that was never cranked for us.
      BY_SAG = %i[bank_resistance cranking_ampere].freeze

      # @return [Numeric] batteries of 12 V in series
      attr_reader :batteries_in_series
      # @return [Float] volts of the bank at rest, at the test
      attr_reader :rest_volt

      # @param batteries_in_series [Numeric]
      # @param rest_volt [Float]
      # @param control_unit [Boolean] whether one has to stay awake for it to start
      # @param values [Hash{Symbol => Input}] of every key; a spread of 0 for what cannot be off
      def initialize(batteries_in_series:, rest_volt:, control_unit:, values:)
        @batteries_in_series = batteries_in_series
        @rest_volt = rest_volt
        @control_unit = control_unit
        @inputs = values
        @values = values.transform_values(&:value).freeze
        freeze
      end

      # @param test [Cranking::CrankTest]
      # @param heat_aid [Boolean] glow plugs, a heater flange
      # @param control_unit [Boolean]
      # @param known [Hash{Symbol => Input}] what somebody knows better than the table does
      # @return [Inputs]
      def self.of_test(test, heat_aid:, control_unit:, known: {})
        charge = charge_at(test)
        posts, drop = %w[posts_volt drop_volt].map { |key| Table::INPUTS.dig(key, 'spread') }
        read = { posts_volt: Input.new(value: test.posts_volt, spread: posts * test.batteries_in_series),
                 drop_volt: Input.new(value: test.drop_volt, spread: drop), charge_ratio: charge,
                 test_celsius: input('test_celsius', test.celsius), speed_rpm: speed(test.speed_rpm) }
        new(batteries_in_series: test.batteries_in_series, rest_volt: test.rest_volt, control_unit: control_unit,
            values: usual(heat_aid, test.batteries_in_series).merge(read).merge(known))
      end

      # A unit that was never cranked for us: by its labels and its tester, the usual current and the usual drops.
      #
      # @param bank_ohm [Float] of the whole bank, at the temperature and charge of a day that is none
      # @param cranking_ampere [Float] usual for this unit or its class
      # @param batteries_in_series [Numeric]
      # @return [Inputs]
      # @raise [InvalidQuantityError] if so weak a bank would not turn it on a warm day
      def self.untested(bank_ohm:, cranking_ampere:, batteries_in_series:, heat_aid:, control_unit:, known: {})
        test = labelled_test(bank_ohm, cranking_ampere, batteries_in_series)
        spreads = BY_SAG.to_h { |key| [key, Input.new(value: 0.0, spread: test.sag_volt * Table::INPUTS.dig(key.to_s, 'untested_spread_ratio'))] }
        drop = Input.new(value: test.drop_volt, spread: test.drop_volt * Table.figure('untested', 'drop_spread_ratio'))
        of_test(test, heat_aid: heat_aid, control_unit: control_unit,
known: { **spreads, drop_volt: drop, posts_volt: Input.new(value: test.posts_volt, spread: 0.0), **known })
      end

      # @return [Float] charge ratio at which an untested unit is thought to have been cranked
      def self.usual_charge = Table.figure('charge', 'today_ratio')

      # @param key [Symbol]
      # @return [Float]
      def value(key) = @values.fetch(key)

      # @param key [Symbol]
      # @return [Float]
      def spread(key) = @inputs.fetch(key).spread

      # @return [Boolean] whether a control unit has to stay awake for it to start
      def control_unit? = @control_unit

      # @return [Hash{Symbol => Float}] the values alone
      attr_reader :values

      class << self
        private

        def input(key, value)
          row = Table::INPUTS.fetch(key)
          Input.new(value: value.to_f, spread: row['spread'] || (row.fetch('spread_ratio') * value))
        end

        # The same for every unit of a kind.
        def usual(heat_aid, batteries_in_series) = USUAL.fetch([heat_aid, batteries_in_series]) { worked_out(heat_aid, batteries_in_series) }

        def worked_out(heat_aid, batteries_in_series)
          given = %w[own_resistance_share torque_speed_share demand_exponent cold_exponent firing_rpm oil_warmer_celsius battery_warmer_celsius]
                  .to_h { |key| [key.to_sym, input(key, Table::INPUTS.dig(key, 'value'))] }
          firing = Table::INPUTS.fetch('firing_rpm_per_degree')
          volt = input('control_unit_volt', Table::INPUTS.dig('control_unit_volt', 'value'))
          given.merge(firing_rpm_per_degree: input('firing_rpm_per_degree', firing[heat_aid ? 'value_with_aid' : 'value']),
                      control_unit_volt: Input.new(value: volt.value * batteries_in_series, spread: volt.spread * batteries_in_series),
                      bank_resistance: Input.new(value: 0.0, spread: 0.0), cranking_ampere: Input.new(value: 0.0, spread: 0.0))
        end

        def speed(read_rpm)
          row = Table::INPUTS.fetch('speed_rpm')
          value = read_rpm || row.fetch('value')
          Input.new(value: value, spread: value * row.fetch(read_rpm ? 'spread_ratio' : 'unread_spread_ratio'))
        end

        # Freshly charged, the volts at rest say too much.
        def charge_at(test)
          surface = Table::INPUTS.dig('charge_ratio', 'surface')
          return Input.new(value: surface['value'], spread: surface['spread']) if test.rest_volt / test.batteries_in_series > surface['over_volt']

          Input.new(value: test.charge_percent / 100.0, spread: Table::INPUTS.dig('charge_ratio', 'spread'))
        end

        def labelled_test(bank_ohm, ampere, batteries_in_series)
          rest = batteries_in_series * Batteries::StateOfCharge.rest_voltage(charge_percent: usual_charge * 100.0)
          drop, celsius = %w[drop_volt celsius].map { |key| Table.figure('untested', key) }
          Cranking::CrankTest.new(rest_volt: rest, posts_volt: rest - (ampere * bank_ohm), drop_volt: batteries_in_series * drop,
                                  celsius: celsius, batteries_in_series: batteries_in_series, ampere: ampere)
        end
      end

      # Of the banks that most units have: 12 V and 24 V.
      USUAL = [true, false].product([1.0, 2.0]).to_h { |kind| [kind, worked_out(*kind).freeze] }.freeze
      private_constant :USUAL
    end
  end
end
