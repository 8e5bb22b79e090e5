# frozen_string_literal: true

module Server
  module Queries
    # What sound sister units read by a test, in like conditions: the newest of each.
    class ClassBaseline
      CORE = Wattomneum::Evidence
      MOST_UNITS = 200
      # Of what a test is taken at; where neither said how warm it was, that is alike too.
      TEMPERATURES = %w[battery_temperature_celsius engine_temperature_celsius].freeze
      Sound = Struct.new(:test_key, :value, :conditions, keyword_init: true)
      private_constant :MOST_UNITS, :TEMPERATURES, :Sound

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

      # SQL: select newest.test_key, value, conditions from (values (unit_id, test_key), ...) as place
      #      cross join lateral (select * from <standing readings> where unit_id = place.unit_id and test_key = place.test_key
      #      and value is not null order by taken_at desc limit 1) as newest
      #      cross join lateral (its newest judgement) as judged where verdict = 'sound'
      def rows
        return {} if places.empty?

        @rows ||= begin
          newest = Models::Reading.standing.where(unit_id: Sequel[:place][:unit_id], test_key: Sequel[:place][:test_key]).exclude(value: nil)
                                  .order(Sequel.desc(:taken_at)).limit(1)
          judged = Models::Judgement.where(reading_id: Sequel[:newest][:id]).order(Sequel.desc(:made_at), :occasion, :id).limit(1).select(:verdict)
          DB.from(DB.values(places).as(:place, %i[unit_id test_key])).cross_join(newest.lateral.as(:newest)).cross_join(judged.lateral.as(:judged))
            .where(Sequel[:judged][:verdict] => 'sound').select(*%i[test_key value conditions].map { |name| Sequel[:newest][name] })
            .map { |row| Sound.new(**row) }.group_by(&:test_key)
        end
      end

      def places = @places ||= sisters.product(@test_keys).map { |unit_id, key| [Sequel.cast(unit_id, :uuid), key] }

      def sisters
        return [] if @unit.unit_class_id.nil?

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
