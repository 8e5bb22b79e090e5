# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # The reading by which a repair is proved: the one that failed, same points, same state, with what it is worth nothing without.
      class Proving
        UNPROVED = %w[missing void].freeze
        private_constant :UNPROVED

        # @param kase [Case]
        # @param order [Order] makes the steps
        def initialize(kase, order)
          @case = kase
          @order = order
        end

        # @return [Step, nil] nil where no proof is owed, or it was read twice in vain
        def call
          proof = unproved || proved_by_a_later_one or return

          under_load = proof.before.conditions.said('load_on') == :yes
          (@order.companion(proof.before.probe) unless under_load) || once_more(step(proof, under_load), proof)
        end

        private

        def unproved = proofs.find { |one| UNPROVED.include?(one.state) && @case.times(one.before.probe) < 2 }

        # What was mended in vain may have been right, and something else wrong too: once that is mended it is read again.
        def proved_by_a_later_one
          proofs.find { |one| one.state == 'failed' && one.after.round < @case.round && @case.times(one.before.probe).zero? }
        end

        def proofs = @case.proofs.compact

        # A lamp that hung on it hangs there again.
        def step(proof, under_load)
          before = proof.before
          lamp_on = LampOn.terminal(@case, before.probe) if under_load
          as_before = lamp_on ? "same points, same state, the lamp on #{Words.short(lamp_on, @case.machine)}" : 'same points, same state'
          @order.measure(before.probe, kind: 'prove', failing: before, unit: proof.repair.unit, lamp_on: lamp_on,
                                       title: "Prove it: #{Words.probe(before.probe, @case.machine)}",
                                       why: "It showed the fault at #{before.spoken}: #{as_before}")
        end

        # What was read in vain is asked for again with what would make it count.
        def once_more(step, proof)
          read = @case.judgement(proof.before.probe) or return step

          Step.new(**step.to_h, title: "Once more, so that it counts: #{step.title}", why: [read.summary, read.instead].compact.join('. '))
        end
      end
    end
  end
end
