# frozen_string_literal: true

module Wattomneum
  module Readings
    # One test of the catalogue: what is measured, where, in which state, under which conditions, and what an answer means.
    class TestDefinition
      FIELDS = %w[key label short judge quantity per state loop from to side limit element part_of when instrument minutes].freeze
      # What needs batteries, and what needs a starter.
      POSTS = %w[positive_post negative_post].freeze
      STARTS = %w[cable_lamp signal_wire_ohms].freeze
      private_constant :POSTS, :STARTS
      FIELDS.each { |field| define_method(field) { @row[field] } }

      # @param row [Hash{String => Object}] a row of core/data/tests.yml
      def initialize(row)
        @row = row
        freeze
      end

      # @return [Boolean] true when each battery position is measured by itself
      def per_battery? = per == 'battery'

      # @return [Boolean] true where reading nothing is the bad answer: feeds, posts, signals; not drops
      def zero_convicts? = quantity == 'voltage' && !judge.end_with?('DropJudge')

      # @return [Boolean]
      def observation? = quantity == 'observation'

      # @return [Array<String>] states it may be taken in, the usual one first
      def states = [state, *@row.fetch('also_states', [])]

      # @return [Boolean] true for tests that help but are not asked for in the order of work
      def optional? = @row.fetch('optional', false)

      # @return [Integer] how many figures one reading holds (six cells of a hydrometer, otherwise one)
      def cells = @row.fetch('cells', 1)

      # @return [Array<String>] ids of the cautions shown at this step
      def cautions = @row.fetch('cautions', [])

      # @return [Array<Hash>] key and label of what can be seen, for observations
      def choices = @row.fetch('choices', [])

      # @return [Array<String>] unit symbols that may be entered, base unit first
      def units = Quantities::Unit.symbols(quantity)

      # @param system [Systems::ElectricalSystem]
      # @return [Boolean] whether this unit has the places the test needs
      def fits?(system)
        return false if (per_battery? || POSTS.intersect?([from, to].compact)) && !system.battery?
        return false if (STARTS.include?(key) || state == 'cranking') && !system.starter?

        case self.when
        when 'isolator' then system.has_isolator
        when 'no_isolator' then !system.has_isolator
        when 'sense' then system.has_sense
        else true
        end
      end

      # @param system [Systems::ElectricalSystem]
      # @return [Array<String>] conditions without which the reading is no evidence on this unit
      def required_conditions(system)
        @row.fetch('requires', []).reject { |key| key == 'tested_alone' && !system.bank? }
      end

      # @param system [Systems::ElectricalSystem]
      # @return [Array<String>] all conditions worth asking for, required ones first
      def asked_conditions(system)
        required_conditions(system) + @row.fetch('records', [])
      end

      # @param system [Systems::ElectricalSystem]
      # @return [Range<Float>, nil] values in the base unit that need no second look; nil for observations
      def plausible_range(system)
        return if @row['plausible'].nil?

        low, high = @row['plausible']
        factor = quantity == 'voltage' && !per_battery? ? system.system_volt / 12.0 : 1.0
        (low * factor)..(high * factor)
      end

      # @param system [Systems::ElectricalSystem]
      # @param limits [Limits::Table]
      # @return [String] how it is taken, with this system's figures written in
      def how(system, limits: Limits::Table.shipped) = fill(@row['how'], system, limits)

      # @param system [Systems::ElectricalSystem]
      # @param limits [Limits::Table]
      # @return [Array<Hash{Symbol => String}>] :when and :means, with this system's limits written in
      def answers(system, limits: Limits::Table.shipped)
        @row.fetch('answers', []).map do |answer|
          { when: fill(answer['when'], system, limits), means: fill(answer['means'], system, limits) }
        end
      end

      private

      def fill(text, system, limits)
        text.gsub(/\{([a-z_.]+)( as rest volts)?\}/) do
          limit = system.limit(Regexp.last_match(1), limits: limits)
          next Quantities::Figure.volt(Batteries::StateOfCharge.rest_voltage(charge_percent: limit.value)) if Regexp.last_match(2)

          "#{Quantities::Figure.trim(limit.value, 4)} #{limit.unit == 'percent' ? '%' : limit.unit}"
        end
      end
    end
  end
end
