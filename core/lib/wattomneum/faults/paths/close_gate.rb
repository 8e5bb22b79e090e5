# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # What is owed before a job on a circuit closes: the side that failed sound as a whole, and the complaint seen to be gone.
      class CloseGate
        # @param kase [Case]
        def initialize(kase)
          @case = kase
        end

        # @return [Array<String>] the same in words
        def owed_words = owed.map { |probe| words(probe) }

        # @return [Array<Readings::Probe>] that must be sound in this round: whole sides that failed before, the complaint itself, and of a kill
        #   circuit that everything that should stop the engine stops it
        def owed
          return [] if @case.part.nil?

          [*wholes, @case.seen_probe, *at_work, *interlocks].uniq.reject { |probe| @case.judgement(probe)&.sound? }
        end

        # @param probe [Readings::Probe] that is owed
        # @return [Boolean] whether it is the proof of something that has to stop the engine
        def interlock?(probe) = interlocks.include?(probe)

        private

        # What stayed on is off, and has to be seen to work when it should.
        def at_work
          @case.symptom.stays_on? ? [Probes.seen(@case.seen_in(@case.at_work), @case.part)] : []
        end

        # One by one, by the states of the sheet: the engine turns, and the sound circuit kills it.
        def interlocks
          return [] if !@case.magneto? || @case.symptom.stays_on?

          Circuits::Situation.of(@case.machine.sheet).select { |one| killed_in?(one) }.map { |one| Probes.seen(@case.seen_in(one.key), @case.part) }
        end

        def killed_in?(situation)
          state = situation.sheet_state
          turning = @case.machine.sheet.parts.grep(Circuits::Parts::Battery).any? { |one| one.fields['active_in'].include?(state) }
          watch = @case.machine.circuit.watch_of("#{@case.part.id}:")
          turning && !Circuits::Questions::Workings.new(@case.machine.settled).works?(watch, state)
        end

        # A whole side is read at a pin of what should work against a post.
        def wholes
          ends = @case.machine.consumers.needed(@case.part).flat_map { |one| [one.from, one.to] }
          return [] if @case.symptom.stays_on?

          failed = @case.readings.select { |one| one.round < @case.round && @case.judgements.fetch(one.id).act? && one.probe.by == 'volts' }
          failed.map(&:probe).select { |probe| ends.include?(probe.from) && probe.to == @case.circumstances.negative_post }.uniq
        end

        def words(probe)
          return seen_words(probe) if probe.by == 'seen'

          "Repeat #{Words.probe(probe, @case.machine)}: the whole side failed, and is owed as a whole"
        end

        def seen_words(probe)
          state = Circuits::Situations.on(@case.machine.sheet, probe.situation).label
          return "See that it stops the engine: #{state}" if interlock?(probe)
          return "See #{@case.label} off after the repair, #{state}" if @case.symptom.stays_on? && probe == @case.seen_probe

          "See #{@case.label} work after the repair#{", #{state}" if @case.symptom.stays_on?}"
        end
      end
    end
  end
end
