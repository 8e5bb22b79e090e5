# frozen_string_literal: true

module Server
  module Presenters
    # What to do before night with the minutes that are left.
    module Proposal
      # @param proposal [Queries::Proposal]
      # @param dawns [Hash{String => Date}] by yard
      def self.call(proposal, dawns)
        { minutes: proposal.minutes, used: proposal.choices.sum { |one| one.remedy['minutes'] }, failing: proposal.failing.round(1),
          failing_then: proposal.failing_then.round(1), choices: proposal.choices.map { |one| choice(one, dawns) } }
      end

      def self.choice(one, dawns)
        row = one.line.row
        { unit_id: row[:unit_id], unit: "#{row[:number]} #{row[:name]}", yard: row[:yard], dawn: dawns.fetch(row[:yard_id]).iso8601,
          key: one.remedy['key'], words: one.remedy['words'], minutes: one.remedy['minutes'],
          chance_words: Tonight.spoken_chance(one.line.chance), then_words: Tonight.spoken_chance(one.line.chance_with(one.remedy)) }
      end
      private_class_method :choice
    end
  end
end
