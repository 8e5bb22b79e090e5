# frozen_string_literal: true

module Server
  module Queries
    # What to do before night with the minutes that are left, for the units of an evening's list.
    class Proposal
      CORE = Wattomneum::ColdStart
      # line: of the evening's list; remedy: what is proposed for it
      Proposed = Struct.new(:line, :remedy, keyword_init: true)

      # @param tonight [Tonight::Result]
      # @param minutes [Integer]
      # @param without [Array<String>] keys of what cannot be done tonight
      def initialize(tonight, minutes:, without: [])
        @lines = tonight.lines
        @minutes = minutes
        @without = without
      end

      attr_reader :minutes

      # @return [Array<Proposed>] what wins most first
      # @raise [Wattomneum::InvalidQuantityError] for minutes that are none
      def choices
        @choices ||= CORE::Proposal.new(@lines.map { |line| offer(line) }, minutes: @minutes).choices.map do |choice|
          line = @lines.find { |one| one.row[:unit_id] == choice.unit_id }
          Proposed.new(line: line, remedy: line.remedies.find { |remedy| remedy['key'] == choice.key })
        end
      end

      # @return [Float] units that are expected not to start, as they stand
      def failing = @lines.sum(&:chance)

      # @return [Float] the same with what is proposed
      def failing_then = failing - choices.sum { |one| one.line.chance - one.line.chance_with(one.remedy) }

      private

      def offer(line)
        CORE::Proposal::Offer.new(unit_id: line.row[:unit_id], options: possible(line).map { |remedy| option(line, remedy) })
      end

      def possible(line) = line.remedies.reject { |remedy| @without.include?(remedy['key']) }

      def option(line, remedy)
        won = line.chance - line.chance_with(remedy)
        CORE::Proposal::Option.new(key: remedy['key'], minutes: remedy['minutes'], gain: CORE::Consequence.rank(won, line.row[:matters]))
      end
    end
  end
end
