# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # Proof ladder of something on the circuit that is not to be replaced because nothing else is left: seen dead, and every supply, ground
      # and request of it right under its load.
      class Ladder
        RUNGS = { 'load.has_volts' => 'done', 'load.dead_with_volts' => 'done', 'load.lacks_volts' => 'failed' }.freeze
        NOT_OF_ONE_MOMENT = 'It had its volts; what did it do meanwhile?'
        private_constant :RUNGS, :NOT_OF_ONE_MOMENT

        # @param kase [Case]
        # @param part [Circuits::Part]
        def initialize(kase, part)
          @case = kase
          @part = part
        end

        # @return [String] key of its repair unit
        def suspect = @case.machine.repair_units.fetch(@case.machine.consumers.needed(@part).first.unit).key

        # @return [nil] it stands in no battery's place
        def position = nil

        # @return [String]
        def label = @part.label

        # @return [Array<ProofLadder::Rung>]
        def rungs = @rungs ||= [seen, *@case.machine.consumers.needed(@part).select { |one| called?(one) }.map { |one| served(one) }]

        # @return [Boolean]
        def complete? = rungs.all? { |rung| rung.state == 'done' }

        # @return [ProofLadder::Rung, nil]
        def missing = rungs.find { |rung| rung.state != 'done' }

        # @return [Boolean]
        def started? = rungs.any? { |rung| rung.state != 'open' }

        private

        def called?(consumer)
          probe = Probes.across(consumer, @case.symptom.situation)
          @case.circumstances.volt_between(consumer.from, consumer.to, probe).abs > Probes::LEAST_VOLT
        end

        def seen
          judgement = @case.judgement(Probes.seen(@case, @part))
          return rung('seen', 'Seen to fail', 'open', 'Not seen') if judgement.nil?

          rung('seen', 'Seen to fail', judgement.act? ? 'done' : 'failed', judgement.summary)
        end

        def served(consumer)
          probe = Probes.across(consumer, @case.symptom.situation)
          judgement = @case.judgement(probe)
          words = "#{[consumer.from, consumer.to].map { |node| Words.short(node, @case.machine) }.join(' to ')} under its load"
          return rung(consumer.key, words, 'open', 'Not measured') if judgement.nil?

          state = RUNGS.fetch(judgement.code, 'open')
          return rung(consumer.key, words, 'open', NOT_OF_ONE_MOMENT) if state == 'done' && !@case.meanwhile.of_one_moment?(@case.reading(probe))

          rung(consumer.key, words, state, judgement.summary)
        end

        def rung(key, label, state, reason) = ProofLadder::Rung.new(key: key, label: label, state: state, reason: reason, tests: [])
      end
    end
  end
end
