# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # What each thing that may be done wins: the same model with a changed input.
    class Remedies
      # degrees: degC that the threshold falls, minutes: of somebody's hands, cautions: ids
      Remedy = Struct.new(:key, :words, :degrees, :minutes, :cautions, keyword_init: true)
      ROWS = Table::DATA.fetch('remedies').to_h { |row| [row.fetch('key'), row] }.freeze
      # What wins less is not worth a word.
      LEAST_CELSIUS = 0.2

      # @param inputs [Inputs]
      # @param charge [Evening::Charge] of tonight
      # @param bank [BankParts, nil]
      # @param sound_drop_volt [Float, nil] what sound cables and grounds would lose at the current of the test; nil where its drops were not read
      # @param may_freeze [Boolean] whether its batteries may be ice: then they are not charged
      def initialize(inputs, charge:, bank: nil, sound_drop_volt: nil, may_freeze: false)
        @inputs = inputs
        @charge = charge
        @bank = bank if bank&.tested?
        @sound_drop = sound_drop_volt
        @may_freeze = may_freeze
        @threshold = Threshold.new(inputs, charge_ratio: charge.ratio)
      end

      # Clean joints lose about half of what is allowed.
      #
      # @param system [Units::ElectricalSystem]
      # @param limits [Limits::Table]
      # @return [Float] volts of both sides together
      def self.sound_drop_volt(system, limits: Limits::Table.shipped)
        allowed = %w[drop.positive_cranking drop.ground_cranking].sum { |id| system.limit(id, limits: limits).value }
        allowed * ROWS.dig('joints', 'left_of_limit')
      end

      # Remedies overlap: of several the one that wins most counts, so that nobody is promised too much.
      #
      # @param degrees [Array<Float>] that each wins by itself
      # @return [Float] degC that they win together, at least
      def self.together(degrees) = degrees.max || 0.0

      # @return [Array<Remedy>] what wins something, the most first
      def all = [charged, weaker, whole_bank, joints, heated].compact.select { |one| one.degrees >= LEAST_CELSIUS }.sort_by { |one| -one.degrees }

      private

      def charged
        full = ROWS.dig('charge', 'charged_ratio')
        remedy('charge', Mended.nothing, charge_ratio: full) if @charge.ratio < full && !@may_freeze
      end

      def weaker
        return if @bank.nil? || @bank.positions.one?

        remedy('weaker', Mended.new(bank_ratio: @bank.ratio_with_new([@bank.weaker])), what: @bank.weaker)
      end

      def whole_bank = @bank && remedy('whole_bank', Mended.new(bank_ratio: @bank.ratio_with_new(@bank.positions)))

      def joints
        drop = @inputs.value(:drop_volt)
        remedy('joints', Mended.new(drop_ratio: @sound_drop / drop)) if @sound_drop && @sound_drop < drop
      end

      def heated = remedy('heat', Mended.new(heated_celsius: ROWS.dig('heat', 'heated_celsius')))

      def remedy(key, mended, charge_ratio: @charge.ratio, what: nil)
        row = ROWS.fetch(key)
        Remedy.new(key: key, words: row['words'].sub('{what}', what.to_s), minutes: row['minutes'], cautions: row['cautions'],
                   degrees: @threshold.degrees_won(mended, charge_ratio: charge_ratio))
      end
    end
  end
end
