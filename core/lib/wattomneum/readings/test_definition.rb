# frozen_string_literal: true

module Wattomneum
  module Readings
    # One test of the catalogue: what is measured, where, in which state, under which conditions, and what an answer means.
    class TestDefinition
      FIELDS = %w[key label short judge quantity per state loop from to limit when instrument minutes].freeze
      # What needs batteries, and what needs a starter.
      POSTS = %w[positive_post negative_post].freeze
      STARTS = %w[cable_lamp signal_wire_ohms].freeze
      FEEDS = %w[solenoid_terminal alternator_output sense_terminal excitation_terminal].freeze
      # What only an alternator has, and what is asked of one.
      ALTERNATORS = %w[belt_look charge_lamp_key_on charge_lamp_apart charge_lamp_running alternator_output ripple].freeze
      # What nobody has a figure for on 48 V.
      EXCITED_BY_A_LAMP = %w[charge_lamp_apart].freeze
      LEAD_ACID_VOLTS = %w[alternator_output ripple posts_heater].freeze
      HEATERS = %w[posts_heater].freeze
      TURNED = %w[belt_looked_at speed_as_stated].freeze
      # A lamp or a hand lifts no link where a battery stands alone; an equaliser levels the halves that are read apart.
      ASKED_OF = { 'tested_alone' => :bank?.to_proc, 'equaliser_off' => :has_equaliser.to_proc,
                   'charge_lamp_lights' => ->(system) { !system.regulator_outside? && !system.converter? } }.freeze
      EQUALISED = %w[rest_voltage battery_test load_test].freeze
      private_constant :HEATERS, :POSTS, :STARTS, :FEEDS, :ALTERNATORS, :LEAD_ACID_VOLTS, :TURNED, :ASKED_OF, :EQUALISED, :EXCITED_BY_A_LAMP
      FIELDS.each { |field| define_method(field) { @row[field] } }

      ALWAYS = ->(_) { true }
      private_constant :ALWAYS

      # What every old test was: volts over a piece of the start loop.
      OLD = { 'quantity' => 'voltage', 'per' => 'unit', 'state' => 'cranking', 'loop' => 'start', 'instrument' => 'multimeter', 'minutes' => 3,
              'cautions' => ['cranking'], 'how' => '' }.freeze
      private_constant :OLD

      # @param row [Hash{String => Object}] a row of core/data/old_tests.yml
      # @return [TestDefinition]
      def self.old(row) = new(OLD.merge(row))

      # @param row [Hash{String => Object}] a row of core/data/tests.yml
      def initialize(row)
        @row = row
        freeze
      end

      # @return [Boolean] whether it is read along the unit's circuit, and judged there as any other two points
      def along_circuit? = judge.nil?

      # @param sheet [Circuits::Sheet] the unit's circuit
      # @param state [String] key of Catalogue::STATES
      # @return [Probe, nil] what it measures there; nil where the circuit lacks one of its places
      def probe(sheet, state: self.state)
        nodes = [from, to].map { |role| sheet.places[role] }
        return if nodes.any?(&:nil?)

        Probe.new(by: 'volts', from: nodes.first, to: nodes.last, situation: Circuits::Situations.of_test(state).key,
                  opened: plug_off? ? [nodes.first.split(':', 2).first] : [])
      end

      # @return [Boolean] whether what it feeds is unplugged for it, and a lamp hung on instead
      def plug_off? = @row.fetch('plug_off', false)

      # @return [Boolean] true when each battery position is measured by itself
      def per_battery? = per == 'battery'

      # @return [Boolean] true where reading nothing is the bad answer: feeds, posts, signals; not drops
      def zero_convicts? = quantity == 'voltage' && (!along_circuit? || feed?)

      # @return [Boolean] whether it is a point of a feed against the negative post, not a drop
      def feed? = along_circuit? && FEEDS.include?(from) && to == 'negative_post'

      # @return [Boolean]
      def observation? = quantity == 'observation'

      # @return [Array<String>] states it may be taken in, the usual one first
      def states = [state, *@row.fetch('also_states', [])]

      # @return [Boolean] true for tests that help but are not asked for in the order of work
      def optional? = @row.fetch('optional', false)

      # @param system [Units::ElectricalSystem]
      # @return [Integer] how many figures one reading holds: the cells of a battery by hydrometer, otherwise one
      def cells(system) = @row.key?('cells') ? (@row['cells'] * system.blocks_per_battery).round : 1

      # @return [Array<String>] ids of the cautions shown at this step
      def cautions = @row.fetch('cautions', [])

      # @return [Array<Hash>] key and label of what can be seen, for observations
      def choices = @row.fetch('choices', [])

      # @return [Array<String>] the same as #units, what a meter shows for it first
      def shown_units = units.partition { |symbol| symbol == @row['shown_in'] }.flatten

      # @return [Array<String>] unit symbols that may be entered, base unit first
      def units = Quantities::Unit.symbols(quantity)

      # @param system [Units::ElectricalSystem]
      # @return [Boolean] whether this unit has the places the test needs
      def fits?(system)
        return false if (per_battery? || POSTS.intersect?([from, to].compact)) && !system.battery?
        return false if (STARTS.include?(key) || state == 'cranking') && !system.starter?

        return false if HEATERS.include?(key) && !(system.starter? && system.heat_aid)
        return false if ALTERNATORS.include?(key) && system.converter?
        return false if EXCITED_BY_A_LAMP.include?(key) && system.regulator_outside?
        return false if LEAD_ACID_VOLTS.include?(key) && !system.lead_acid_volts?

        self.when != 'sense' || (system.has_sense && !system.regulator_outside?)
      end

      # @param system [Units::ElectricalSystem]
      # @return [Array<String>] conditions without which the reading is no evidence on this unit
      def required_conditions(system)
        keys = @row.fetch('requires', []) + (EQUALISED.include?(key) ? ['equaliser_off'] : [])
        keys -= TURNED if system.converter?
        of(system, keys)
      end

      # @param system [Units::ElectricalSystem]
      # @return [Array<String>] all conditions worth asking for, required ones first
      def asked_conditions(system)
        required_conditions(system) + of(system, @row.fetch('records', []))
      end

      # @param system [Units::ElectricalSystem]
      # @return [Range<Float>, nil] values in the base unit that need no second look; nil for observations
      def plausible_range(system)
        return if @row['plausible'].nil?

        low, high = @row['plausible']
        factor = quantity == 'voltage' ? blocks(system) : 1.0
        (low * factor)..(high * factor)
      end

      # @param system [Units::ElectricalSystem]
      # @param limits [Limits::Table]
      # @return [String] how it is taken, with this system's figures written in
      def how(system, limits: Limits::Table.shipped) = fill(@row['how'], system, limits)

      # @param system [Units::ElectricalSystem]
      # @param limits [Limits::Table]
      # @return [Array<Hash{Symbol => String}>] :when and :means, with this system's limits written in
      def answers(system, limits: Limits::Table.shipped)
        @row.fetch('answers', []).map do |answer|
          { when: fill(answer['when'], system, limits), means: fill(answer['means'], system, limits) }
        end
      end

      private

      def of(system, conditions) = conditions.select { |key| ASKED_OF.fetch(key, ALWAYS).call(system) }

      # What it spans, in batteries of six cells.
      def blocks(system) = per_battery? ? system.blocks_per_battery : system.blocks_in_series

      def fill(text, system, limits)
        text.gsub(/\{([a-z_.]+)( as rest volts)?\}/) do
          limit = system.limit(Regexp.last_match(1), limits: limits)
          next Quantities::Figure.volt(Batteries::StateOfCharge.rest_voltage(charge_percent: limit.value) * blocks(system)) if Regexp.last_match(2)

          next Quantities::Figure.ampere(limit.value) if limit.unit == 'A'

          "#{Quantities::Figure.trim(limit.value, 4)} #{limit.unit == 'percent' ? '%' : limit.unit}"
        end
      end
    end
  end
end
