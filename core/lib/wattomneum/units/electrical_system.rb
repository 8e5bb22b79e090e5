# frozen_string_literal: true

module Wattomneum
  # What is known of a unit without any drawing.
  module Units
    # One unit's arrangement: system voltage, bank, batteries in their positions, and what is known of starter and alternator: the few facts
    # that its usual circuit is made from.
    class ElectricalSystem
      ARRANGEMENTS = %w[none single parallel series].freeze
      # Where the regulator of the alternator sits: inside it; outside, grounding its field (A) or feeding it (B); or a control unit that
      # commands it.
      REGULATORS = %w[internal external_a external_b commanded].freeze
      POSITIONS = %w[A B C D].freeze

      attr_reader :system_volt, :arrangement, :battery_count, :batteries, :usual_cranking_current_ampere,
                  :alternator_rating_ampere, :has_isolator, :has_sense, :regulator, :neutral_interlock

      # @param system_volt [Integer] 12 or 24
      # @param arrangement [String] one of ARRANGEMENTS; none where no battery is fitted, as with a magneto
      # @param battery_count [Integer] 0 for none, 1 for single, 2 to 4 for parallel, 2 for series
      # @param batteries [Hash{String => Batteries::Battery}] by position, A to D; a position may be empty
      # @param usual_cranking_current_ampere [Float, nil] what the healthy engine takes at about 20 degC; nil where it has no starter
      # @param regulator [String] one of REGULATORS
      # @param neutral_interlock [Boolean] whether a neutral switch lies in the coil of the start relay
      # @param alternator_rating_ampere [Float, nil]
      # @raise [InvalidQuantityError] if voltage, arrangement and count do not go together
      def initialize(system_volt:, arrangement:, battery_count:, usual_cranking_current_ampere:, batteries: {},
                     alternator_rating_ampere: nil, has_isolator: true, has_sense: true, regulator: 'internal',
                     neutral_interlock: false)
        @system_volt = system_volt
        @arrangement = arrangement
        @battery_count = battery_count
        @batteries = batteries
        @usual_cranking_current_ampere = usual_cranking_current_ampere
        @alternator_rating_ampere = alternator_rating_ampere
        @has_isolator = has_isolator
        @has_sense = has_sense
        @regulator = regulator
        @neutral_interlock = neutral_interlock
        check
        freeze
      end

      # @return [Array<String>] positions in use, "A" first
      def positions = POSITIONS.first(battery_count)

      # @return [Boolean] whether a regulator of its own stands beside the alternator, with its own supply, ground and sense
      def regulator_outside? = regulator.start_with?('external')

      # @return [Boolean] false where the engine is started by hand or from another unit
      def starter? = !usual_cranking_current_ampere.nil?

      # @return [Boolean]
      def battery? = battery_count.positive?

      # @return [Boolean]
      def parallel? = arrangement == 'parallel'

      # @return [Boolean]
      def series? = arrangement == 'series'

      # @return [Boolean] false where the battery is tested alone whatever one does
      def bank? = battery_count > 1

      # @param limit_id [String]
      # @param limits [Limits::Table]
      # @return [Limits::Limit] the row for this system's voltage
      def limit(limit_id, limits: Limits::Table.shipped)
        limits.fetch(limit_id, system_volt: system_volt)
      end

      private

      def check
        check_regulator
        good = case arrangement
               when 'none' then battery_count.zero? && !starter?
               when 'single' then system_volt == 12 && battery_count == 1
               when 'parallel' then system_volt == 12 && battery_count.between?(2, 4)
               when 'series' then system_volt == 24 && battery_count == 2
               end
        return if good

        raise InvalidQuantityError.new('batteries are none without a starter, one on 12 V, two to four in parallel on 12 V, or a series ' \
                                       "pair on 24 V; got #{battery_count} #{arrangement} on #{system_volt} V",
                                       field: 'arrangement')
      end

      def check_regulator
        return if REGULATORS.include?(regulator)

        raise InvalidQuantityError.new("a regulator is #{REGULATORS.join(', ')}; got #{regulator}", field: 'regulator')
      end
    end
  end
end
