# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # Whether the repair of something on the circuit is proved: the reading that showed the fault, taken again after it and sound.
      class Proof
        attr_reader :repair

        # @param repair [Jobs::Repair] with a unit
        # @param round [Integer] the round of work that it began
        # @param kase [Case]
        def initialize(repair, round, kase)
          @repair = repair
          @round = round
          @case = kase
        end

        # @return [Readings::PointReading, nil] that showed the fault
        def before = @case.reading_by_id(repair.failing_reading_id)

        # @return [Readings::PointReading, nil] the last one at the same points after the repair
        def after = before && @case.readings.reverse.find { |one| one.round >= @round && one.probe == before.probe }

        # @return [String] proved, failed, void (taken, but not usable), missing, or unnamed (no failing reading given)
        def state
          return 'unnamed' if before.nil?
          return 'missing' if after.nil?

          judgement = @case.judgements.fetch(after.id)
          return 'proved' if judgement.sound?

          judgement.act? ? 'failed' : 'void'
        end

        # @return [String, nil] what is still owed; nil when proved
        def owed
          case state
          when 'unnamed' then 'Name the reading that showed the fault, so that the repair can be proved by it'
          when 'missing' then "Repeat #{words}: same points, same state"
          when 'void' then "#{upper} was repeated, but only sound proves it: #{@case.judgements.fetch(after.id).summary}"
          when 'failed' then "#{upper} still fails after the repair"
          end
        end

        private

        def upper = words[0].upcase + words[1..]
        def words = Words.probe(before.probe, @case.machine)
      end
    end
  end
end
