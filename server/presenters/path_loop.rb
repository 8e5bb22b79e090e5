# frozen_string_literal: true

module Server
  module Presenters
    # The circuit under suspicion as a loop: from the post out along the feed, through what fails, back along its ground, part by part, with
    # the last reading at every stop, the last one straight across each part, and what is convicted.
    class PathLoop
      CORE = Wattomneum
      # @param assessment [CORE::Faults::Assessment]
      # @return [Hash, nil] nil where the job is about no component of the circuit, and while nothing was read along its loop
      def self.call(assessment)
        kase = assessment.paths or return
        return of_part(kase) if assessment.symptom.along_paths?

        key = CORE::Faults::OrdersOfWork.fetch(assessment.symptom.work).loop
        loop = kase.machine.loops.find { |one| one.key == key }
        new(kase, loop.load, loop.entry, loop.exit).call if loop && kase.current.any?
      end

      def self.of_part(kase)
        return if kase.part.nil?

        consumer = kase.machine.consumers.needed(kase.part).first
        new(kase, kase.part.label, consumer.from, consumer.to).call
      end
      private_class_method :of_part

      # @param kase [CORE::Faults::Paths::Case]
      # @param label [String] of what fails
      # @param entry [String] node at which current enters it
      # @param exit [String] node at which it leaves it
      def initialize(kase, label, entry, exit)
        @case = kase
        @machine = kase.machine
        @label = label
        @entry = entry
        @exit = exit
        @finder = kase.machine.paths(CORE::Circuits::Situations.on(@machine.sheet, kase.at_work).sheet_state)
      end

      def call
        { load: @label, feed: side(@finder.to_battery(@entry).steps.reverse, :feed), return: side(@finder.to_ground(@exit).steps, :return) }
      end

      private

      # Stops lie between two things that are mended apart.
      def side(steps, which)
        runs = steps.chunk_while { |one, other| unit(one) == unit(other) }.to_a
        runs.map { |run| stretch(run, which) }
      end

      def unit(step) = @machine.repair_units.of(step.index)

      # Steps lead away from the load; the loop is drawn with the current.
      def stretch(run, which)
        from, to = which == :feed ? [run.first.to, run.last.from] : [run.first.from, run.last.to]
        { unit: unit(run.first).key, label: unit(run.first).label, from: from, to: to, from_label: spoken(from), to_label: spoken(to),
          convicted: convicted.include?(unit(run.first).key), reading: reading(which == :feed ? to : from, @case.circumstances.negative_post),
          across: reading(from, to) }
      end

      def spoken(node) = @machine.points.spoken(node).sub(/\A[a-z]/, &:upcase)
      def convicted = @convicted ||= @case.current.flat_map { |one| @case.judgements.fetch(one.id).convicts }.to_set

      # What was read between these two, now.
      def reading(from, to)
        found = @case.current.reverse.find { |one| one.probe.by == 'volts' && [one.probe.from, one.probe.to].sort == [from, to].sort }
        found && { id: found.id, spoken: found.spoken, verdict: @case.judgements.fetch(found.id).verdict }
      end
    end
  end
end
