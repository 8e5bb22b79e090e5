# frozen_string_literal: true

module Wattomneum
  module Batteries
    # A battery on the shelf: how much charge it has by now, and when it wants charging.
    class Spare
      MOST_OF_THREE_CELLS_VOLT = 7.5
      private_constant :MOST_OF_THREE_CELLS_VOLT
      # how: read, charged, or left as a unit that ran leaves it; percent: charge then; days: since then
      Known = Struct.new(:how, :percent, :days, keyword_init: true)

      # @param type [String] key of Battery::TYPES
      # @param known [Known, nil] nil where nobody ever read its volts nor charged it
      # @param celsius [Float] where it stands
      # @param limits [Limits::Table]
      def initialize(type:, known:, celsius: SelfDischarge::SHELF_CELSIUS, limits: Limits::Table.shipped)
        @known = known
        @loss = SelfDischarge.new(type: type, celsius: celsius) if known && SelfDischarge.known?(type)
        @least = limits.fetch('battery.charge_least').value
      end

      # @param type [String]
      # @param rest_volt [Float] of its six cells, or of three
      # @return [Float] charge in percent
      # @example 12.45 V, flooded   # => 75.0
      def self.charge_of(type, rest_volt)
        StateOfCharge.from_rest_voltage(rest_volt: rest_volt / blocks(rest_volt), recombinant: %w[agm gel].include?(type))
      end

      # @param rest_volt [Float]
      # @param text [String, nil] as it was typed
      # @return [Readings::Plausibility::Question, nil] where no battery rests at that
      def self.question(rest_volt, text: nil)
        system = Units::ElectricalSystem.new(system_volt: blocks(rest_volt) < 1 ? 6 : 12, arrangement: 'single', battery_count: 1,
                                             usual_cranking_current_ampere: nil)
        Readings::Plausibility.question(test: Readings::Catalogue.fetch('rest_voltage'), value: rest_volt, system: system, text: text)
      end

      # Three full cells rest at 6.4 V, six flat ones at over 11.
      def self.blocks(rest_volt) = rest_volt < MOST_OF_THREE_CELLS_VOLT ? 0.5 : 1.0
      private_class_method :blocks

      # What is known last of its charge.
      #
      # @param type [String] key of Battery::TYPES
      # @param read [Array(Float, Float), nil] volts at rest, and days since
      # @param charged [Float, nil] days since it was charged to full
      # @param left [Float, nil] days since a unit that ran gave it up
      # @return [Known, nil] nil where nobody knows anything
      def self.known(type, read: nil, charged: nil, left: nil)
        [(Known.new(how: 'read', percent: charge_of(type, read.first), days: read.last) if read),
         (Known.new(how: 'charged', percent: 100.0, days: charged) if charged),
         (Known.new(how: 'left', percent: 100.0 * ColdStart::Inputs.usual_charge, days: left) if left)].compact.min_by(&:days)
      end

      # @return [Float, nil] percent by now; nil where nobody knows
      def charge_percent = @loss&.charge_percent(from_percent: @known.percent, days: @known.days)

      # @return [Float, nil] days until it wants charging: 0 or under where it does
      def days_left = @loss && (@loss.days_to(@least, from_percent: @known.percent) - @known.days)

      # @return [Boolean] whether it wants charging now, or nobody knows that it does not
      def wants_charge? = days_left.nil? || days_left <= 0

      # @return [Float] percent at which it wants charging
      attr_reader :least
    end
  end
end
