# frozen_string_literal: true

module Wattomneum
  module Evidence
    # What one reading says, and why.
    class Judgement
      # The verdict words, in one place: sound, watch, act, unproven.
      VERDICTS = %w[sound watch act unproven].freeze
      # How far a reading may be used: valid; approximate (usable, with the reason); unstated (a condition nobody said);
      # void (a condition that was not met).
      VALIDITIES = %w[valid approximate unstated void].freeze
      # Grades of evidence: proof, support, hint, and none for what is void.
      WEIGHTS = %w[proof support hint none].freeze

      ATTRIBUTES = %i[reading_id verdict would_be validity weight summary reasons arithmetic limits rules_in rules_out
                      convicts clears instead traps school figures code].freeze
      attr_reader(*ATTRIBUTES)

      # @param verdict [String] one of VERDICTS
      # @param validity [String] one of VALIDITIES
      # @param weight [String] one of WEIGHTS
      # @param summary [String] one sentence
      # @param reasons [Array<String>] why it is not fully valid
      # @param arithmetic [Array<String>] the sums, one a line
      # @param limits [Array<Limits::Limit>] the limits judged by
      # @param rules_in [Array<String>] what it points at, in words
      # @param rules_out [Array<String>] what it clears, in words
      # @param convicts [Array<String>] keys of elements it points at
      # @param clears [Array<String>] keys of elements it clears
      # @param instead [String, nil] what to do instead, when the reading cannot be used
      # @param traps [Array<String>] ways in which this reading misleads
      # @param figures [Hash{Symbol => Float}] named results with units in their names
      # @param code [String, nil] of its finding, a key of core/data/findings.yml
      # @param would_be [String, nil] the verdict it would have been, had the conditions held
      def initialize(reading_id:, verdict:, summary:, validity: 'valid', weight: 'support', reasons: [], arithmetic: [],
                     limits: [], rules_in: [], rules_out: [], convicts: [], clears: [], instead: nil, traps: [],
                     school: nil, figures: {}, would_be: nil, code: nil)
        @reading_id = reading_id
        @verdict = verdict
        @would_be = would_be
        @validity = validity
        @weight = weight
        @summary = summary
        @reasons = reasons
        @arithmetic = arithmetic
        @limits = limits
        @rules_in = rules_in
        @rules_out = rules_out
        @convicts = convicts
        @clears = clears
        @instead = instead
        @traps = traps
        @school = school
        @figures = figures
        @code = code
        freeze
      end

      # @param changes [Hash{Symbol => Object}]
      # @return [Judgement] the same with these attributes replaced
      def with(**changes)
        self.class.new(**ATTRIBUTES.to_h { |name| [name, public_send(name)] }, **changes)
      end

      # @return [Boolean] true when the reading may clear or convict
      def usable? = %w[valid approximate].include?(validity)

      # @return [Boolean]
      def sound? = verdict == 'sound'

      # @return [Boolean]
      def act? = verdict == 'act'

      # @return [Hash{Symbol => Object}] plain values, for a snapshot
      def to_h
        ATTRIBUTES.to_h { |name| [name, public_send(name)] }
                  .merge(limits: limits.map { |limit| limit.to_h.merge(row_id: limit.row_id) })
      end
    end
  end
end
