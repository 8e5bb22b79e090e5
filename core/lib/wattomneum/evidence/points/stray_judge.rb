# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # Volts across something that should have none in this state. That it has them says that it is fed or called, not by what.
      class StrayJudge < Judge
        # @param reading [Readings::PointReading]
        # @param circumstances [Circumstances]
        # @param consumer [Circuits::Consumer]
        def initialize(reading, circumstances, consumer)
          super(reading, circumstances)
          @consumer = consumer
        end

        # @return [Judgement]
        def call
          least = limit('path.stray_volts_least') / 100.0 * at_work
          sum("at work it has #{Figure.volt(at_work)}; on over #{Figure.volt(least)}")
          return finding('stray.none', 'sound', said: said, rules_out: ["A feed of #{@consumer.label}"]) if value.abs < least

          finding('stray.fed', 'act', said: said, rules_in: ['What switches it stays closed, or it is fed past it'])
        end

        private

        def said
          { volt: [reading.spoken, *Circuits::Apart.words(probe.opened)].join(', '), load: @consumer.label }
        end

        def at_work = machine.consumers.volt_at_work(@consumer)
      end
    end
  end
end
