# frozen_string_literal: true

module Wattomneum
  module Batteries
    # The batteries of one bank against each other, from the tests that count now: mismatches, mixed types, and what to replace
    # when one fails.
    class BankReview
      MONTH_SECONDS = 30.44 * 86_400
      private_constant :MONTH_SECONDS

      # @param system [Units::ElectricalSystem]
      # @param judgements [Hash{String => Hash{String => Evidence::Judgement}}] by position, then by test key
      # @param tested_at [Time, nil] of the newest test, for the age of the partners; nil leaves ages unknown
      # @param schools [Schools::Choices]
      # @param limits [Limits::Table]
      def initialize(system:, judgements:, tested_at: nil, schools: Schools::Choices.shipped, limits: Limits::Table.shipped)
        @system = system
        @judgements = judgements
        @tested_at = tested_at
        @schools = schools
        @limits = limits
      end

      # @return [Array<String>] what speaks against these batteries working together; empty when nothing does
      def remarks
        return [] unless @system.bank?

        [Pair.mixed_types(@system.batteries.values.map(&:type)), *mismatches].compact
      end

      # @param position [String] of the battery that failed
      # @return [String] what to replace and by which school
      def advice(position)
        partners = @system.positions - [position]
        alone = partners.all? { |partner| stays?(partner) }
        what = alone ? "Replace #{position}; #{partners.join(', ')} may stay" : 'Replace the set'
        "#{what}. School used: #{@schools.words('battery_pairs')}"
      end

      private

      def mismatches
        found = Pair.mismatches(health_percents: figures('battery_test', :health_percent), limits: @limits, blocks: @system.blocks_per_battery,
                                rest_volts: figures('rest_voltage', :rest_volt))
        found.map { |words| @system.series? ? "Series pair: #{words}. One is failing, or a 12 V load hangs on the middle" : words }
      end

      def figures(test_key, name)
        @system.positions.filter_map { |position| figure(position, test_key, name) }
      end

      def figure(position, test_key, name)
        judgement = @judgements.dig(position, test_key)
        judgement.figures[name] if judgement&.usable?
      end

      def stays?(partner)
        Pair.advice(school: @schools.fetch('battery_pairs'), partner_age_months: age_months(partner), limits: @limits,
                    partner_health_percent: figure(partner, 'battery_test', :health_percent)) == :replace_failed_one
      end

      def age_months(position)
        made_on = @system.batteries[position]&.made_on
        made_on && @tested_at && ((@tested_at - made_on.to_time) / MONTH_SECONDS)
      end
    end
  end
end
