# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      class CommonCause
        # What to look at next: the thing nobody has spoken of yet whose answer says most about which cause holds.
        #
        # Formula: bits gained = H(answer) - sum of P(cause) H(answer | cause), the mutual information of answer and cause (Lindley 1956, m).
        class NextLook
          # watch: what to look at; gain_bit: expected; leads_to: by answer (a word of Said) the cause that stands first after it
          Look = Struct.new(:watch, :gain_bit, :leads_to, keyword_init: true)
          # An answer expected to say less is not worth the walk (ours).
          LEAST_BIT = 0.25
          ANSWERS = { true => %i[low high works], false => %i[dead works] }.freeze
          private_constant :LEAST_BIT, :ANSWERS

          # @param circuit [Circuit]
          # @param causes [Array<Cause>]
          # @param watches [Array<Integer>] that nobody has spoken of
          def initialize(circuit, causes, watches)
            @circuit = circuit
            @causes = causes
            @watches = watches
          end

          # @return [Look, nil] nil if no answer would say much
          def best
            watch = @watches.max_by { |one| gain_bit(one) }
            return if watch.nil? || gain_bit(watch) < LEAST_BIT

            leads_to = answers(watch).to_h { |word| [word, @causes.max_by { |cause| cause.probability * chances(cause, watch).fetch(word) }] }
            Look.new(watch: @circuit.watches[watch], gain_bit: gain_bit(watch), leads_to: leads_to)
          end

          private

          def answers(watch) = ANSWERS.fetch(@circuit.watches[watch].signal?)

          # Of each answer, were this the cause.
          def chances(cause, watch)
            (@chances ||= {})[[cause, watch]] ||= begin
              chances = answers(watch).to_h { |word| [word, Said.new(watch: watch, word: word).chance(cause.overall[watch])] }
              chances.transform_values { |chance| chance / chances.values.sum }
            end
          end

          def gain_bit(watch)
            (@gains ||= {})[watch] ||= begin
              of_all = answers(watch).map { |word| @causes.sum { |cause| cause.probability * chances(cause, watch).fetch(word) } }
              Numerics::Entropy.of(of_all) - @causes.sum { |cause| cause.probability * Numerics::Entropy.of(chances(cause, watch).values) }
            end
          end
        end
      end
    end
  end
end
