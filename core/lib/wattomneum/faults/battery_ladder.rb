# frozen_string_literal: true

module Wattomneum
  module Faults
    # Proof ladder of one battery: charged, alone, settled, its temperature known, then failing its test.
    class BatteryLadder < ProofLadder
      TESTS = %w[battery_test load_test].freeze
      private_constant :TESTS

      # @return [String]
      attr_reader :position

      # @param assessment [Assessment]
      # @param position [String] A to D
      def initialize(assessment, position)
        super(assessment)
        @position = position
      end

      # @return [String]
      def suspect = 'battery'

      # @return [String]
      def label = "Battery #{position}"

      private

      def build_rungs
        [charge_rung, *alone_rung,
         condition_rung('surface', 'Surface charge removed', 'surface_charge_removed'),
         condition_rung('temperature', 'Temperature entered', 'battery_temperature_celsius'),
         sound_or_seen_connections, failing_rung]
      end

      def charge_rung
        least = Quantities::Figure.percent(assessment.limits.fetch('battery.charge_least').value)
        rung('charge', "At least #{least} charged", %w[rest_voltage hydrometer], position: position) do
          hydrometer = assessment.judgement('hydrometer', position: position)
          next ['done', hydrometer.summary] if hydrometer&.convicts&.include?('battery')

          judgement = [hydrometer, assessment.judgement('rest_voltage', position: position)].compact.find(&:usable?)
          next ['open', 'Not measured'] if judgement.nil?

          judgement.sound? ? ['done', judgement.summary] : ['open', judgement.summary]
        end
      end

      def alone_rung
        return [] unless assessment.system.bank?

        [condition_rung('alone', 'Tested alone', 'tested_alone')]
      end

      def condition_rung(key, label, condition)
        rung(key, label, TESTS, position: position) do
          readings = TESTS.filter_map { |test| assessment.reading(test, position: position) }
          next ['open', 'Not tested'] if readings.empty?

          readings.any? { |reading| reading.conditions.said(condition) == :yes } ? %w[done Said] : ['open', 'Not said']
        end
      end

      def sound_or_seen_connections
        rung('connections', 'Posts and clamps looked at', ['connections_look']) do
          judgement = assessment.judgement('connections_look')
          judgement ? ['done', judgement.summary] : ['open', 'Not looked at']
        end
      end

      def failing_rung
        rung('fails', 'Fails its test', TESTS, position: position) do
          found = TESTS.filter_map { |test| assessment.judgement(test, position: position) }.select(&:usable?)
          failing = found.find(&:act?)
          next ['done', failing.summary] if failing

          found.any? ? ['failed', found.first.summary] : ['open', 'Not tested']
        end
      end
    end
  end
end
