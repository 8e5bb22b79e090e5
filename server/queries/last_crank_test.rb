# frozen_string_literal: true

module Server
  module Queries
    # The last crank test of a unit that says everything about it: posts at rest and cranking, both drops and the current, read in one round
    # of one job, with the drops sound.
    module LastCrankTest
      DROPS = Wattomneum::Readings::Catalogue::START_SIDES
      KEYS = ['posts_rest', 'posts_cranking', 'cranking_current', *DROPS].freeze
      MOST_LOOKED_AT = 200
      # test: what core makes of it; taken_at: of its current
      Found = Struct.new(:test, :taken_at, keyword_init: true)
      private_constant :MOST_LOOKED_AT

      # SQL: select * from reading where unit_id = ? and test_key in ? and <standing> order by taken_at desc limit 200;
      #      newest judgements of the drops
      #
      # @param unit_id [String]
      # @param system [Wattomneum::Units::ElectricalSystem]
      # @return [Found, nil] nil for what is not lead and acid: no charge can be told from its volts
      def self.of(unit_id, system:)
        return unless system.lead_acid?

        rows = Models::Reading.standing.where(unit_id: unit_id, test_key: KEYS).order(Sequel.desc(:taken_at)).limit(MOST_LOOKED_AT).all
        rounds = rows.group_by(&:act).values
        rounds = rounds.map { |same| same.uniq(&:test_key).to_h { |row| [row.test_key, row] } }
        rounds.lazy.select { |round| (KEYS - round.keys).empty? && sound?(round) }.filter_map { |round| found(round, system.blocks_in_series) }.first
      end

      def self.sound?(round)
        newest = Models::Judgement.newest_of(round.values_at(*DROPS).map(&:id))
        newest.size == DROPS.size && newest.values.all? { |one| one.verdict == 'sound' }
      end

      # Without a temperature nobody knows what it is a test of.
      def self.found(round, batteries_in_series)
        said = round.values_at('posts_cranking', 'cranking_current').filter_map { |row| row.conditions['battery_temperature_celsius'] }
        celsius = said.first or return
        volt = round.transform_values(&:value)
        test = Wattomneum::Cranking::CrankTest.new(
          rest_volt: volt['posts_rest'], posts_volt: volt['posts_cranking'], drop_volt: volt['positive_drop'] + volt['ground_drop'],
          ground_drop_volt: volt['ground_drop'], ampere: volt['cranking_current'], celsius: celsius.to_f,
          batteries_in_series: batteries_in_series
        )
        Found.new(test: test, taken_at: round['cranking_current'].taken_at)
      rescue Wattomneum::InvalidQuantityError
        nil
      end
      private_class_method :sound?, :found
    end
  end
end
