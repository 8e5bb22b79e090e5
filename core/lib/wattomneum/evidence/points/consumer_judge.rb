# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # Volts across something that should work in this state: what reaches it, and, where all does and it stays dead, that it is itself.
      class ConsumerJudge < Judge
        # @param reading [Readings::PointReading]
        # @param circumstances [Circumstances]
        # @param consumer [Circuits::Consumer]
        def initialize(reading, circumstances, consumer)
          super(reading, circumstances)
          @consumer = consumer
        end

        # @return [Judgement]
        def call
          least = limit('path.load_volts_least')
          sum("a sound circuit has #{Figure.volt(sound)} here at these posts: #{Figure.percent(100 * share)}, at least #{Figure.percent(least)}")
          return lacks if share < least / 100.0

          does.nil? ? served : dead_with_volts
        end

        private

        def sound
          @sound ||= begin
            volt = circumstances.volt_between(@consumer.from, @consumer.to, probe).abs
            posts = posts_that_count
            reference = circumstances.sound_posts_volt(reading)
            posts && reference.positive? ? volt * posts / reference : volt
          end
        end

        # A slip of the leads: nothing at all can be held against posts of nothing.
        def posts_that_count = circumstances.posts_volt(reading)&.then { |volt| volt if volt > open_volt }
        def open_volt = limit('evidence.open_share') / 100.0 * machine.sheet.system_volt

        def share = value.abs / sound
        # What was seen of it, where that was not that it works.
        def does = { 'dead' => 'nothing', 'weak' => 'too little' }[now || circumstances.uses.seen(@consumer, probe, reading.round)]

        # It works as this is read, whatever it did before.
        def now = ('works' if reading.conditions.word('meanwhile') == 'works')
        def unit = machine.repair_units.fetch(@consumer.unit)
        def said = { volt: reading.spoken, load: @consumer.label, share: Figure.percent(100 * share) }
        def figures = { volt: value.abs, sound_volt: sound }

        def served = finding('load.has_volts', 'sound', said: said, figures: figures, rules_out: ['Its feed and its ground'])

        # What has a ladder is only pointed at.
        def dead_with_volts
          finding('load.dead_with_volts', 'act', said: said.merge(does: does), figures: figures, weight: 'proof', rules_in: [unit.label],
                                                 convicts: unit.laddered ? [] : [unit.key])
        end

        def lacks
          finding('load.lacks_volts', 'act', said: said, figures: figures, rules_in: ['Its feed, or its ground'])
        end
      end
    end
  end
end
