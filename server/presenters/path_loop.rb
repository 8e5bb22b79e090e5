# frozen_string_literal: true

module Server
  module Presenters
    # The circuit under suspicion as a loop: from the post out along the feed, through what fails, back along its ground, with the last
    # reading at every stop and the stretch that is convicted.
    class PathLoop
      CORE = Wattomneum

      # @param assessment [CORE::Faults::Assessment]
      # @return [Hash, nil] nil where the job is about no component of the circuit
      def self.call(assessment)
        kase = assessment.paths
        new(kase).call if kase && assessment.symptom.along_paths? && kase.part
      end

      # @param kase [CORE::Faults::Paths::Case]
      def initialize(kase)
        @case = kase
        @machine = kase.machine
        @consumer = kase.machine.consumers.needed(kase.part).first
        @finder = kase.circumstances.paths(kase.seen_probe)
      end

      def call
        { load: @case.part.label, feed: side(@finder.to_battery(@consumer.from).steps.reverse, :feed),
          return: side(@finder.to_ground(@consumer.to).steps, :return) }
      end

      private

      # Stops lie between two things that are mended apart.
      def side(steps, which)
        runs = steps.chunk_while { |one, other| unit(one) == unit(other) }.to_a
        runs.map { |run| stretch(run, which) }
      end

      def unit(step) = @machine.repair_units.of(step.index)

      # Steps lead away from the consumer; the loop is drawn with the current.
      def stretch(run, which)
        from, to = which == :feed ? [run.first.to, run.last.from] : [run.first.from, run.last.to]
        { unit: unit(run.first).key, label: unit(run.first).label, from: from, to: to, convicted: convicted.include?(unit(run.first).key),
          reading: reading(which == :feed ? to : from) }
      end

      def convicted = @convicted ||= @case.current.flat_map { |one| @case.judgements.fetch(one.id).convicts }.to_set

      # What was read at this stop against the negative post, now.
      def reading(node)
        probe = CORE::Readings::Probe.new(by: 'volts', from: node, to: @case.circumstances.negative_post, situation: @case.symptom.situation)
        found = @case.reading(probe)
        found && { id: found.id, spoken: found.spoken, verdict: @case.judgements.fetch(found.id).verdict }
      end
    end
  end
end
