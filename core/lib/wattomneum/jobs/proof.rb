# frozen_string_literal: true

module Wattomneum
  module Jobs
    # Whether one repair is proved: the reading that failed, taken again after it, same points, same state.
    class Proof
      attr_reader :repair

      # @param repair [Repair]
      # @param round [Integer] the round of work that this repair began
      # @param assessment [Faults::Assessment, Faults::Paths::Case]
      def initialize(repair, round, assessment)
        @repair = repair
        @round = round
        @assessment = assessment
      end

      # @return [Boolean] whether it is read along the unit's circuit
      def along_circuit? = false

      # @return [Readings::Reading, nil] the reading that showed the fault
      def before
        @assessment.reading_by_id(repair.failing_reading_id)
      end

      # @return [Readings::Reading, nil] the last one at the same points after the repair, and after it was undone for its proof
      def after
        @after ||= before && @assessment.readings.reverse_each.find { |reading| since(reading) && same_points?(reading) }
      end

      # @return [Array<Readings::Reading, Readings::PointReading>] those at the same points with this repair undone
      def undone
        @undone ||= before ? @assessment.undone.select { |one| one.instance_of?(before.class) && one.round >= @round && same_points?(one) } : []
      end

      # @return [String] proved, failed, void (taken, but not usable), missing, or unnamed (no failing reading given)
      def state = @state ||= find_state

      # @return [String, nil] what is still owed; nil when proved
      def owed
        case state
        when 'unnamed' then 'Name the reading that showed the fault, so that the repair can be proved by it'
        when 'missing' then "Repeat #{named}: same points, same state"
        when 'void' then "#{begun} was repeated, but #{why_not_proved}"
        when 'failed' then "#{begun} still fails after the repair"
        end
      end

      private

      def since(reading) = reading.round >= @round && undone.none? { |one| one.taken_at >= reading.taken_at }
      def named = "\"#{before.test.label}\""
      def begun = named.sub(/\A./, &:upcase)

      # On watch is not proved.
      def why_not_proved
        judgement = @assessment.judgements.fetch(after.id)
        found = [judgement.summary, judgement.instead].compact.join('. ')
        "#{judgement.verdict == 'watch' ? 'only sound proves it' : 'proves nothing'}: #{found}"
      end

      def same_points?(reading)
        reading.test_key == before.test_key && reading.position == before.position && reading.state == before.state
      end

      def find_state
        return 'unnamed' if before.nil?
        return 'missing' if after.nil?

        judgement = @assessment.judgements.fetch(after.id)
        return 'proved' if judgement.sound? || clears?(judgement) || (judgement.verdict == 'watch' && cleared_by_another?)

        judgement.act? ? 'failed' : 'void'
      end

      def clears?(judgement) = judgement.clears.intersect?([repair.element, repair.unit].compact)

      # At the limit of one test, and proved by another: 76 of 80 A, and it carries all loads.
      def cleared_by_another?
        @assessment.readings.any? do |reading|
          since(reading) && @assessment.judgements.fetch(reading.id).then { |one| one.sound? && one.weight == 'proof' && clears?(one) }
        end
      end
    end
  end
end
