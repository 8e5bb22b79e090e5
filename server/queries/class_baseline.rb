# frozen_string_literal: true

module Server
  module Queries
    # What sound sister units read by a test, in like conditions: the newest of each.
    class ClassBaseline
      CORE = Wattomneum::Evidence
      MOST_UNITS = 200
      # Of what a test is taken at; where neither said how warm it was, that is alike too.
      TEMPERATURES = %w[battery_temperature_celsius engine_temperature_celsius].freeze
      private_constant :MOST_UNITS, :TEMPERATURES

      # @param unit [Models::Unit]
      # @param test_keys [Array<String>]
      def initialize(unit, test_keys)
        @unit = unit
        @test_keys = test_keys
      end

      # @param reading [Models::Reading]
      # @return [CORE::Baseline, nil] nil for a unit of no class, and where too few sisters are known
      def of(reading)
        return if reading.value.nil?

        alike = rows.fetch(reading.test_key, []).select { |row| alike?(row, reading) }
        CORE::Baseline.of(alike.map(&:value), least_spread: error(reading))
      end

      private

      # SQL: select distinct on (test_key, unit_id) reading.* from <standing readings> where unit_id in (sisters) and test_key in ?
      #      and value is not null and their newest judgement is sound order by test_key, unit_id, taken_at desc
      def rows
        return {} if @unit.unit_class_id.nil?

        @rows ||= begin
          found = Models::Reading.standing.where(unit_id: sisters, test_key: @test_keys).exclude(value: nil)
                                 .distinct(:test_key, :unit_id).order(:test_key, :unit_id, Sequel.desc(:taken_at)).all
          judged = Models::Judgement.newest_of(found.map(&:id))
          found.select { |row| judged[row.id]&.verdict == 'sound' }.group_by(&:test_key)
        end
      end

      def sisters
        Models::Unit.standing(false).where(unit_class_id: @unit.unit_class_id).exclude(id: @unit.id).order(:id).limit(MOST_UNITS).select_map(:id)
      end

      def alike?(row, reading)
        one, other = [row, reading].map { |each| celsius(each) }
        return one.nil? && other.nil? if one.nil? || other.nil?

        (one - other).abs <= CORE::Baseline::ALIKE_CELSIUS
      end

      def celsius(row) = row.conditions.to_h.values_at(*TEMPERATURES).compact.first&.to_f

      def error(reading)
        case reading.quantity
        when 'voltage' then CORE::MeterError.volt(reading.value)
        when 'speed' then CORE::MeterError.rpm(reading.value)
        else 0.03 * reading.value.abs
        end
      end
    end
  end
end
