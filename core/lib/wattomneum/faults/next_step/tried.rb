# frozen_string_literal: true

module Wattomneum
  module Faults
    class NextStep
      # What was taken or mended already, and of what use it was: nothing is asked for a third time in vain.
      class Tried
        # @param assessment [Assessment]
        def initialize(assessment)
          @assessment = assessment
        end

        # @param test_key [String]
        # @param position [String, nil]
        # @return [Boolean] taken twice in this round and of no use: the work goes on without it
        def in_vain?(test_key, position = nil)
          taken = assessment.readings.select do |one|
            one.test_key == test_key && one.position == position && (position || one.round == assessment.round)
          end
          taken.size > 1 && taken.last(2).none? { |one| counts?(assessment.judgements.fetch(one.id)) }
        end

        # @param test_key [String]
        # @param position [String, nil]
        # @return [Boolean] not taken in this round, or taken once and of no use
        def open?(test_key, position = nil)
          judgement = assessment.judgement(test_key, position: position)
          judgement.nil? || (!counts?(judgement) && !Evidence::OtherKinds::CODES.include?(judgement.code) && !in_vain?(test_key, position))
        end

        # A mend whose proof failed is not made again: back to locating.
        #
        # @param element [String]
        # @param position [String, nil]
        # @return [Boolean]
        def mended_in_vain?(element, position)
          assessment.proofs.any? { |proof| proof.repair.element == element && proof.repair.position == position && proof.state == 'failed' }
        end

        # @param judgement [Evidence::Judgement]
        # @return [Boolean]
        def counts?(judgement) = judgement.usable? && judgement.verdict != 'unproven'

        # On watch or of no use twice running: it stays owed, and the work goes on.
        #
        # @param before [Readings::Reading] that the proof is of
        # @return [Boolean]
        def proved_in_vain?(before)
          same = [assessment.round, before.test_key, before.position]
          taken = assessment.readings.select { |one| [one.round, one.test_key, one.position] == same }
          taken.size > 1 && taken.last(2).none? { |one| assessment.judgements.fetch(one.id).sound? }
        end

        private

        attr_reader :assessment
      end
    end
  end
end
