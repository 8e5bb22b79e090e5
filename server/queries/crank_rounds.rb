# frozen_string_literal: true

module Server
  module Queries
    # What was read while a unit was cranked, round by round of work: those that turned its engine with the batteries
    # that stand in it now.
    class CrankRounds
      POSTS = %w[negative_post positive_post].freeze
      # Volts between two points that have a name say the same as the test of the catalogue that reads there.
      BETWEEN = { [POSTS, 'cranking'] => 'posts_cranking', [POSTS, 'stopped'] => 'posts_rest',
                  [%w[positive_post starter_stud], 'cranking'] => 'positive_drop',
                  [%w[negative_post starter_case], 'cranking'] => 'ground_drop' }.freeze
      KEYS = %w[posts_rest posts_cranking positive_drop ground_drop cranking_current cranking_behaviour cranking_speed].freeze
      DROPS = %w[positive_drop ground_drop].freeze
      # What did not turn its engine was no crank test.
      BEHAVES = %w[normal slow].freeze
      MEANWHILE = %w[cranks slow].freeze
      MOST_LOOKED_AT = 200
      LEAST_RPM = 30.0
      private_constant :POSTS, :BETWEEN, :KEYS, :DROPS, :BEHAVES, :MEANWHILE, :MOST_LOOKED_AT, :LEAST_RPM
      # rest_volt, posts_volt; drop_volt of both sides, nil where not both were read; celsius nil where nobody said it; ampere, speed_rpm;
      # cranked_at; mended_since: whether a start that failed was mended after it
      Round = Struct.new(:rest_volt, :posts_volt, :drop_volt, :celsius, :ampere, :speed_rpm, :cranked_at, :mended_since, keyword_init: true)

      # @param unit_id [String]
      # @param since [Time, nil] when the bank became what it is
      def initialize(unit_id, since:)
        @unit_id = unit_id
        @since = since
      end

      # @return [Array<Round>] the newest first
      def all
        rounds.select { |round| holds?(round) }.filter_map { |round| spoken(round) }
      end

      private

      # SQL: select reading.* from reading where unit_id = ? and <standing> and (test_key in ? or measured_by = 'volts' and state in ?)
      #      order by taken_at desc limit 200; their places
      def rows
        Models::Reading.standing.where(unit_id: @unit_id).where(Sequel.|({ test_key: KEYS }, { measured_by: 'volts', state: %w[cranking stopped] }))
                       .order(Sequel.desc(:taken_at)).limit(MOST_LOOKED_AT).eager(:from_place, :to_place).all
      end

      # The newest of each in its round.
      def rounds
        rows.group_by(&:act).values.map do |same|
          same.reverse.filter_map { |row| key_of(row)&.then { |key| [key, row] } }.to_h
        end
      end

      def key_of(row)
        return row.test_key if row.test_key

        BETWEEN[[[row.from_place, row.to_place].map { |place| place&.key.to_s }.sort, row.state]]
      end

      # Another battery makes another bank of it.
      def holds?(round)
        posts = round['posts_cranking']
        posts&.value && turned?(round, posts) && (@since.nil? || posts.taken_at >= @since)
      end

      def turned?(round, posts)
        behaved = round['cranking_behaviour']&.observation
        meanwhile = posts.conditions['engine_meanwhile']
        (behaved.nil? || BEHAVES.include?(behaved)) && (meanwhile.nil? || MEANWHILE.include?(meanwhile))
      end

      # SQL: select made_at from repair join job_symptom using (job_id) join job on job.id = job_id where unit_id = ? and work = 'starting'
      def mended_since?(row) = mended_at.any? { |time| time > row.taken_at }

      def mended_at
        @mended_at ||= Models::Repair.join(:job_symptom, job_id: Sequel[:repair][:job_id]).join(:job, id: Sequel[:repair][:job_id])
                                     .where(unit_id: @unit_id, work: 'starting').select_map(:made_at)
      end

      def spoken(round)
        posts = round['posts_cranking']
        rest = round['posts_rest']&.value || posts.conditions['rest_volt']
        return if rest.nil?

        drops = DROPS.map { |key| round[key]&.value&.abs }
        Round.new(rest_volt: rest.to_f, posts_volt: posts.value, drop_volt: (drops.sum if drops.all?), celsius: celsius(round),
                  ampere: round['cranking_current']&.value, speed_rpm: speed(round), cranked_at: posts.taken_at, mended_since: mended_since?(posts))
      end

      # What hardly turned is no speed of a crank test.
      def speed(round) = round['cranking_speed']&.value&.then { |rpm| rpm if rpm >= LEAST_RPM }

      def celsius(round)
        round.values_at('posts_cranking', 'cranking_current').compact
             .filter_map { |row| row.conditions['battery_temperature_celsius'] || row.conditions['engine_temperature_celsius'] }.first&.to_f
      end
    end
  end
end
