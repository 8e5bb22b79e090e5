# frozen_string_literal: true

module Wattomneum
  module Readings
    # When each kind of work is due again, by the fleet's own intervals.
    module Due
      LIMITS = { 'batteries' => 'round.batteries_months', 'start' => 'round.start_months', 'charge' => 'round.charge_months',
                 'grounds' => 'ground.service_months' }.freeze
      # Where salt, mud or spray comes at them.
      SALT = { 'grounds' => 'ground.service_salt_months' }.freeze
      EXPOSURES = %w[dry salt].freeze
      # By what was read a round is known to have been made.
      TESTS = { 'batteries' => 'battery_test', 'start' => 'posts_cranking', 'charge' => 'charging_fast_idle' }.freeze

      # @param kind [String] key of a round
      # @return [Boolean] whether it comes round by the calendar; others are made where they are needed
      def self.asked?(kind) = LIMITS.key?(kind)

      # @param kind [String] key of a round, or grounds
      # @param limits [Limits::Table]
      # @param exposure [String] one of EXPOSURES
      # @return [Integer]
      def self.months(kind, limits, exposure: 'dry')
        limits.fetch((exposure == 'salt' && SALT[kind]) || LIMITS.fetch(kind)).value.round
      end

      # @param last [Date, nil] when it was made last
      # @param months [Integer]
      # @return [Date, nil] nil where it never was: it is due
      # @example 2026-05-31 and 6 months   # => 2026-11-30
      def self.on(last, months) = last && (last >> months)
    end
  end
end
