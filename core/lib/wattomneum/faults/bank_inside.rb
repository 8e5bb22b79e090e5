# frozen_string_literal: true

module Wattomneum
  module Faults
    # What joins the batteries of a bank, where its posts have less than the batteries by themselves, or fall while the current is no higher
    # than it should be: each link from post to post while cranking, then its pieces.
    class BankInside
      # Posts under this share of what the batteries have one by one are not theirs alone (ours).
      LEAST_SHARE = 0.9
      SITUATION = 'cranking'
      WHY = 'The posts fall: is it a battery, or what joins them?'
      private_constant :LEAST_SHARE, :SITUATION, :WHY

      # @param assessment [Assessment]
      # @param steps [NextStep] makes the steps
      def initialize(assessment, steps)
        @assessment = assessment
        @steps = steps
      end

      # @return [Step, nil]
      def call
        return unless suspected? && kase

        unread = bank.whole.find { |probe| kase.reading(probe).nil? }
        return @steps.between(unread, why: WHY) if unread

        failing = bank.whole.find { |probe| kase.judgement(probe).act? }
        probe = failing && Paths::DropSearch.new(kase, failing).next_probe
        probe && @steps.between(probe, why: 'This link loses the volts: at a clamp, or in the cable?')
      end

      # @return [Boolean] whether the posts say too little for anything behind them to be judged
      def suspected?
        system.bank? && system.starter? && (less_than_its_batteries? || falls_at_no_more_current?)
      end

      private

      def system = @assessment.system
      def kase = @assessment.paths
      def bank = @bank ||= Paths::Bank.new(kase, SITUATION)

      def less_than_its_batteries?
        posts = @assessment.reading('posts_rest') or return false
        each = system.positions.map { |position| @assessment.reading('rest_voltage', position: position)&.value }
        return false if each.any?(&:nil?)

        posts.value < LEAST_SHARE * (system.series? ? each.sum : each.max)
      end

      def falls_at_no_more_current?
        current = @assessment.judgement('cranking_current')
        @assessment.judgement('posts_cranking')&.act? && !current.nil? && !current.act?
      end
    end
  end
end
