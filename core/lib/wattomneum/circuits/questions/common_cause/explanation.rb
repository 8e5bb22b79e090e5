# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      class CommonCause
        # The causes of one list of what was seen, ranked; pairs of them; what to look at next.
        #
        # Formula: log prior + sum of log likelihoods of what was said.
        # Source: Bayes
        class Explanation
          # How many single causes are tried in pairs, and pairs worth naming.
          PAIRED = 40
          BEST_PAIRS = 5
          # A cause at least this likely, against the first, stands beside it: one wrong word more or less would put it first.
          AS_LIKELY_RATIO = 0.5
          private_constant :PAIRED, :BEST_PAIRS, :AS_LIKELY_RATIO

          # @return [Array<SaysNothing::Note>] what was said besides, and tells nothing
          attr_reader :says_nothing

          # @param circuit [Circuit]
          # @param outcomes [Array<Outcome>]
          # @param said [Array<Said>] something bad at least
          # @param says_nothing [Array<SaysNothing::Note>] what was said besides, and tells nothing
          def initialize(circuit:, outcomes:, said:, says_nothing: [])
            @circuit = circuit
            @outcomes = outcomes
            @said = said
            @says_nothing = says_nothing
          end

          # @return [Array<Cause>] most probable first. What explains none of what is the matter is no cause of it, however often such things fail
          def causes
            @causes ||= begin
              shares = weighed(@outcomes.select { |one| @said.any? { |said| said.bad? && said.fits?(one.look_at(said)) } })
              total = shares.sum(&:last)
              shares.group_by { |one, _| one.overall }.values.map { |group| Cause.new(group, total: total) }.sort_by { |cause| -cause.probability }
            end
          end

          # @return [Array<Cause>] the first, those that nothing that was said tells from it, and those that one wrong word more or less would put
          #   first
          def first
            @first ||= begin
              alike = causes.group_by { |cause| @said.map { |said| cause.look_at(said) } }.values
              most = alike.map { |group| group.sum(&:probability) }.max
              enough(alike.select { |group| group.sum(&:probability) >= AS_LIKELY_RATIO * most }.flatten.sort_by { |cause| -cause.probability })
            end
          end

          # @return [Array<Array(Cause, Cause)>] the best pairs of independent causes, where they explain more than the best single one
          def pairs
            return [] if causes.empty?

            least = fit([causes.first])
            better = causes.first(PAIRED).combination(2).select { |pair| fit(pair) > least }
            better.max_by(BEST_PAIRS) { |pair| @said.sum { |said| Math.log(said.chance(look_of(pair, said))) } + Math.log(pair.sum(&:weight)) }
          end

          # @return [NextLook::Look, nil] nil if no answer would say much
          def next_look
            said = @said.map(&:watch)
            causes.empty? ? nil : NextLook.new(@circuit, causes, @circuit.watches.each_index.to_a - said).best
          end

          # @param cause [Cause]
          # @return [Array<Said>] what it explains or leaves alone
          def fits(cause) = @said.select { |said| said.fits?(cause.look_at(said)) }

          # @param cause [Cause]
          # @return [Array<Said>] what it does not explain, or would have taken down
          def misfits(cause) = @said - fits(cause)

          # @param cause [Cause]
          # @return [Array<Watch>] what else would be dead, which nobody spoke of
          def also_bad(cause)
            (@circuit.watches.each_index.to_a - @said.map(&:watch)).select { |at| Looks::BAD.include?(cause.overall[at]) }
                                                                   .map { |at| @circuit.watches[at] }
          end

          private

          def weighed(outcomes)
            logs = outcomes.map { |one| [one, Math.log(one.weight) + one.log_likelihood(@said)] }
            most = logs.map(&:last).max
            logs.map { |one, log| [one, Math.exp(log - most)] }
          end

          # Without the least likely.
          def enough(causes)
            left = Cause::NAMED_SHARE * causes.sum(&:probability)
            causes.take_while { |cause| left.positive?.tap { left -= cause.probability } }
          end

          def fit(causes) = @said.count { |said| said.fits?(look_of(causes, said)) }

          # What either of them does to it.
          def look_of(causes, said)
            looks = causes.map { |cause| cause.look_at(said) }
            looks.find { |one| Looks::BAD.include?(one) } || looks.first
          end
        end
      end
    end
  end
end
