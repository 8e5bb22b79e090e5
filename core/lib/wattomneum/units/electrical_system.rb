# frozen_string_literal: true

module Wattomneum
  # What is known of a unit without any drawing.
  module Units
    # One unit's arrangement: system voltage, bank, batteries in their positions, which side is grounded, and what is known of starter and
    # alternator: the few facts that its usual circuit is made from.
    class ElectricalSystem
      ARRANGEMENTS = %w[none single parallel series].freeze
      # Where the regulator of the alternator sits: inside it; outside, grounding its field (A) or feeding it (B); a control unit that commands
      # it. Or there is no alternator at all: a DC/DC converter charges from another system.
      REGULATORS = %w[internal external_a external_b commanded dc_dc].freeze
      # Which side of the bank the metal of the machine is; neither, where the return is a cable.
      GROUNDINGS = %w[negative positive insulated].freeze
      SYSTEM_VOLTS = [6, 12, 24, 48].freeze
      POSITIONS = %w[A B C D].freeze
      # Volts of a battery of six lead-acid cells, by which tables and ratings go.
      BLOCK_VOLT = 12.0
      # Here a pack brings its own management, and no lead-acid limit holds (handbook, common practice).
      PACK_VOLT = 48
      private_constant :PACK_VOLT

      attr_reader :system_volt, :arrangement, :battery_count, :batteries, :usual_cranking_current_ampere, :alternator_rating_ampere,
                  :has_isolator, :has_sense, :regulator, :neutral_interlock, :grounding, :has_equaliser, :heat_aid

      # @param system_volt [Integer] one of SYSTEM_VOLTS
      # @param arrangement [String] one of ARRANGEMENTS; none where no battery is fitted, as with a magneto
      # @param battery_count [Integer] 0 for none, 1 for single (a pack of 48 V is one), 2 to 4 for parallel, 2 for series
      # @param batteries [Hash{String => Batteries::Battery}] by position, A to D; a position may be empty
      # @param usual_cranking_current_ampere [Float, nil] what the healthy engine takes at about 20 degC; nil where it has no starter
      # @param regulator [String] one of REGULATORS
      # @param neutral_interlock [Boolean] whether a neutral switch lies in the coil of the start relay
      # @param alternator_rating_ampere [Float, nil] of what charges: alternator or converter
      # @param grounding [String] one of GROUNDINGS
      # @param has_equaliser [Boolean] whether an equaliser hangs on the middle of a 24 V bank
      # @param heat_aid [Boolean] glow plugs, a heater flange or the like
      # @raise [InvalidQuantityError] if voltage, arrangement and count do not go together
      def initialize(system_volt:, arrangement:, battery_count:, usual_cranking_current_ampere:, batteries: {},
                     alternator_rating_ampere: nil, has_isolator: true, has_sense: true, regulator: 'internal',
                     neutral_interlock: false, grounding: 'negative', has_equaliser: false, heat_aid: true)
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
        @grounding = grounding
        @has_equaliser = has_equaliser
        @heat_aid = heat_aid
        check
        freeze
      end

      # @return [Array<String>] positions in use, "A" first
      def positions = POSITIONS.first(battery_count)

      # @param usual_ampere_hour [Float] of a battery whose capacity is on no label
      # @return [Float] of the whole bank: a series bank has that of one battery
      # @example two of 100 Ah in parallel   # => 200.0
      def capacity_ampere_hour(usual_ampere_hour:)
        known = batteries.values.filter_map(&:capacity_ampere_hour).select(&:positive?)
        each = known.empty? ? usual_ampere_hour : known.sum / known.size
        parallel? ? each * battery_count : each
      end

      # @return [Boolean] whether a regulator of its own stands beside the alternator, with its own supply, ground and sense
      def regulator_outside? = regulator.start_with?('external')

      # @return [Boolean] whether a DC/DC converter stands where others have their alternator
      def converter? = regulator == 'dc_dc'

      # @return [Boolean] whether the tables and limits of lead and acid hold for its bank
      def lead_acid? = lead_acid_volts? && batteries.each_value.all?(&:lead_acid?)

      # @return [Boolean] false on 48 V
      def lead_acid_volts? = system_volt != PACK_VOLT

      # @return [Float] batteries of six cells that the bank has one after the other: a half on 6 V
      def blocks_in_series = system_volt / BLOCK_VOLT

      # @return [Float] such blocks in one of its batteries: a half on 6 V, one on 12 V and 24 V
      def blocks_per_battery = series? ? blocks_in_series / battery_count : blocks_in_series

      # @return [Boolean] a pack that brings its own management
      def pack? = !lead_acid_volts?

      # @return [Boolean]
      def lithium? = batteries.each_value.any? { |battery| battery.type == 'lithium' }

      # @return [Boolean] whether a cable leads back, not the metal of the machine
      def insulated? = grounding == 'insulated'

      # @return [Boolean]
      def positive_ground? = grounding == 'positive'

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
        check_words
        raise InvalidQuantityError.new(EQUALISES, field: 'has_equaliser') if has_equaliser && !series?
        return if arranged?

        raise InvalidQuantityError.new('batteries are none without a starter, one on 6 or 12 V, two to four in parallel on 6 or 12 V, a ' \
                                       "series pair on 24 V, or a pack on 48 V; got #{battery_count} #{arrangement} on #{system_volt} V",
                                       field: 'arrangement')
      end

      EQUALISES = 'an equaliser hangs on the middle of a series pair on 24 V: there is none here'
      private_constant :EQUALISES

      def arranged?
        case arrangement
        when 'none' then battery_count.zero? && !starter? && SYSTEM_VOLTS.include?(system_volt)
        when 'single' then [6, 12, PACK_VOLT].include?(system_volt) && battery_count == 1
        when 'parallel' then [6, 12].include?(system_volt) && battery_count.between?(2, 4)
        when 'series' then system_volt == 24 && battery_count == 2
        end
      end

      def check_words
        { regulator: REGULATORS, grounding: GROUNDINGS }.each do |field, known|
          said = public_send(field)
          next if known.include?(said)

          raise InvalidQuantityError.new("#{field} is one of #{known.join(', ')}; got #{said}", field: field.to_s)
        end
      end
    end
  end
end
