# frozen_string_literal: true

module Wattomneum
  module Cranking
    # What a warm crank test says of bank, path and starter: the volts at rest and while cranking, and where they went.
    class CrankTest
      # Share of the starter's volts that is lost in its own resistance; the rest is its back-EMF (common practice, from memory; 0.20 to 0.30).
      OWN_RESISTANCE_SHARE = 0.25
      # Rest volts that a battery which can crank may have: under it a cell is dead, over it the charger is still on (common practice).
      REST_VOLT = (10.5..14.0)

      attr_reader :rest_volt, :posts_volt, :drop_volt, :ground_drop_volt, :celsius, :batteries_in_series, :ampere, :speed_rpm

      # @param rest_volt [Float] of the bank at rest, before the test
      # @param posts_volt [Float] at the bank's outer posts, settled, while cranking
      # @param drop_volt [Float] positive and ground side together, 0 or more
      # @param ground_drop_volt [Float, nil] the ground side of them, where both sides were read apart
      # @param celsius [Float] of battery and engine at the test
      # @param batteries_in_series [Numeric] of 12 V: a half on 6 V
      # @param ampere [Float, nil] by clamp; without it resistances are not known, what happens elsewhere still is
      # @param speed_rpm [Float, nil] of the engine
      # @raise [InvalidQuantityError] if the volts cannot have been read in one test
      def initialize(rest_volt:, posts_volt:, drop_volt:, celsius:, batteries_in_series:, ampere: nil, speed_rpm: nil,
                     ground_drop_volt: nil)
        @rest_volt = rest_volt
        @posts_volt = posts_volt
        @drop_volt = drop_volt
        @ground_drop_volt = ground_drop_volt
        @celsius = celsius
        @batteries_in_series = batteries_in_series
        @ampere = ampere
        @speed_rpm = speed_rpm
        check
        freeze
      end

      # @return [Float] percent, by the rest volts
      def charge_percent = Batteries::StateOfCharge.from_rest_voltage(rest_volt: rest_volt / batteries_in_series)

      # @return [Float] volts that the bank lost under the starter
      def sag_volt = rest_volt - posts_volt

      # @return [Float, nil] volts of the positive side, where both sides were read apart
      def feed_drop_volt = ground_drop_volt && (drop_volt - ground_drop_volt)

      # @return [Float] volts that reached the starter
      def starter_volt = posts_volt - drop_volt

      # Formula: EMF = (1 - rho) V_starter.
      #
      # @return [Float] volts
      def back_emf_volt = starter_volt * (1 - OWN_RESISTANCE_SHARE)

      # @return [Float, nil] ohm of the whole bank, at the test's temperature and charge; nil without a current
      def bank_ohm = over_current(sag_volt)

      # @return [Float, nil] ohm of cables, clamps, contacts and grounds
      def path_ohm = over_current(drop_volt)

      # Formula: R = rho V_starter / I.
      #
      # @return [Float, nil] ohm of brushes and windings: all that is left to a starter that cannot turn
      def starter_ohm = over_current(starter_volt * OWN_RESISTANCE_SHARE)

      private

      def over_current(volt) = ampere && (volt / ampere)

      def check
        check_volts
        refuse('ampere', 'the current was over 0 A, or was not read') unless ampere.nil? || ampere.positive?
        refuse('speed_rpm', 'the speed was over 0 rpm, or was not read') unless speed_rpm.nil? || speed_rpm.positive?
      end

      def check_volts
        system = "#{(batteries_in_series * 12).round} V"
        refuse('rest_volt', "#{rest_volt} V at rest is no #{system} bank that can crank") unless REST_VOLT.cover?(rest_volt / batteries_in_series)
        refuse('posts_volt', 'the posts were no lower while cranking than at rest: no current flowed, this was no crank test') if sag_volt <= 0
        refuse('drop_volt', 'a drop cannot be less than 0 V: turn the leads') if drop_volt.negative?
        refuse('drop_volt', 'the drops use up all the volts of the posts: nothing would have reached the starter') unless starter_volt.positive?
      end

      def refuse(field, sentence) = raise(InvalidQuantityError.new(sentence, field: field))
    end
  end
end
