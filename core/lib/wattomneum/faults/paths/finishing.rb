# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # After every repair is proved: what is owed before the job closes, read one by one; then everything put back; then closed.
      class Finishing
        NO_CHANGE = 'The part is proved and it still fails. No change after a repair neither convicts nor clears it: something left off, or what ' \
                    'the fault has hurt meanwhile, hides the cure'
        private_constant :NO_CHANGE

        # @param kase [Case]
        # @param order [Order] makes the steps
        def initialize(kase, order)
          @case = kase
          @order = order
          @gate = CloseGate.new(kase)
        end

        # The drop is cured and it still fails, seen once: before anything else is held for bad.
        #
        # @return [Step, nil]
        def no_change
          seen = @case.seen_probe
          return unless all_proved? && @case.judgement(seen)&.act? && @case.times(seen) == 1
          return @order.measure(seen, kind: 'repeat', why: NO_CHANGE, title: "Once more: #{Words.probe(seen, @case.machine)}") unless left_off?

          Step.new(**put_back.to_h, title: 'Put back what is off, then see it again', why: "#{NO_CHANGE}. #{put_back.why}")
        end

        # @return [Step, nil] nil where a repair is not proved, and where the complaint is still there
        def call
          return if !all_proved? || still_fails?

          owed = @gate.owed
          probe = owed.find { |one| @case.times(one) < 2 }
          return measure(probe) if probe
          return unless owed.empty?

          @case.disturbed_count.positive? ? put_back : close
        end

        private

        # Seen twice: there is a second fault, and the search goes on.
        def still_fails? = @case.judgement(@case.seen_probe)&.act? && @case.times(@case.seen_probe) > 1

        def all_proved? = @case.proofs.compact.all? { |proof| proof.state == 'proved' }
        def left_off? = @case.disturbed_count.positive?

        def measure(probe)
          return @order.measure(probe, why: seen_why(probe)) if probe.by == 'seen'

          @order.companion(probe) || @order.measure(probe, why: 'The whole side failed: it is owed as a whole')
        end

        def seen_why(probe)
          return 'Whatever should stop the engine is proved to stop it, one by one, before it goes out' if @gate.interlock?(probe)

          'The part is proved; now see that the complaint is gone'
        end

        def put_back
          Step.new(kind: 'put_back', minutes: 5, title: 'Put back what was disturbed', why: "#{@case.disturbed_count} still off or open", risks: [])
        end

        def close
          Step.new(kind: 'close', minutes: 1, title: 'Close the job', why: 'The failing reading is sound and nothing is left off', risks: [])
        end
      end
    end
  end
end
