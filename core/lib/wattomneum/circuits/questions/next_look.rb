# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # What to look at next: the thing nobody has looked at yet whose answer says most about which cause holds.
      #
      # Formula: bits gained = H(P(dead)) - H(mistaken), H(p) = -p lb p - (1 - p) lb (1 - p), the mutual information of answer and
      # cause (Lindley 1956, from memory).
      class NextLook
        # watch: what to look at; gain_bit: expected; if_dead, if_works: the cause that stands first after that answer
        Look = Struct.new(:watch, :gain_bit, :if_dead, :if_works, keyword_init: true)
        # An answer expected to say less is not worth the walk (ours).
        LEAST_BIT = 0.25

        # @param causes [Array<Explanation::Cause>] with probabilities
        # @param watches [Array<Watch>] that nobody has looked at
        def initialize(causes, watches)
          @causes = causes
          @watches = watches
        end

        # @return [Look, nil] nil if no answer would say much
        def best
          watch = @watches.max_by { |one| gain_bit(one) }
          return if watch.nil? || gain_bit(watch) < LEAST_BIT

          Look.new(watch: watch, gain_bit: gain_bit(watch), if_dead: @causes.max_by { |cause| cause.probability * dead_ratio(cause, watch) },
                   if_works: @causes.max_by { |cause| cause.probability * (1 - dead_ratio(cause, watch)) })
        end

        private

        def dead_ratio(cause, watch) = cause.kills?(watch.key) ? 1 - Explanation::MISTAKEN : Explanation::MISTAKEN

        def gain_bit(watch)
          entropy_bit(@causes.sum { |cause| cause.probability * dead_ratio(cause, watch) }) - entropy_bit(Explanation::MISTAKEN)
        end

        def entropy_bit(ratio) = -[ratio, 1 - ratio].sum { |one| one * Math.log2(one) }
      end
    end
  end
end
