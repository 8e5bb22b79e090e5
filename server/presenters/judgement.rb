# frozen_string_literal: true

module Server
  module Presenters
    # The why lines of a verdict.
    module Judgement
      # @param judgement [Wattomneum::Evidence::Judgement]
      def self.call(judgement)
        { verdict: judgement.verdict, would_be: judgement.would_be, validity: judgement.validity, weight: judgement.weight,
          summary: judgement.summary, reasons: judgement.reasons, arithmetic: judgement.arithmetic,
          limits: judgement.limits.map do |limit|
            Limit.call(limit)
          end, rules_in: judgement.rules_in, rules_out: judgement.rules_out,
          instead: judgement.instead, traps: judgement.traps, school: judgement.school }
      end
    end
  end
end
