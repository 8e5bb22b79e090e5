# frozen_string_literal: true

module Wattomneum
  module Faults
    # What was changed in a job and what was read after each change: two changes before one reading leave it open which of them cured it.
    class Experiments
      UNDONE = 'repair_undone'

      # @param readings [Array<Readings::Reading, Readings::PointReading>]
      # @return [Array(Array, Array)] those of the unit as it is, and those with a repair undone for the purpose
      def self.apart(readings) = readings.partition { |one| one.conditions.said(UNDONE) != :yes }

      # @param assessment [Assessment]
      # @param changes [Array<Jobs::Change>] beside the repairs
      def initialize(assessment, changes)
        @assessment = assessment
        @changes = changes
      end

      # @return [Array<Jobs::CauseConfidence>] one for each repair
      def causes
        @assessment.proofs.map do |proof|
          Jobs::CauseConfidence.new(proof, repaired: name(proof.repair), convicted: convicted?(proof), others: others(proof),
                                           undone_and_redone: undone_and_redone?(proof))
        end
      end

      private

      def convicted?(proof)
        before = proof.before or return false
        convicts = @assessment.judgements.fetch(before.id).convicts
        [proof.repair.unit, proof.repair.element].compact.intersect?(convicts)
      end

      # Between the reading that failed and the sound one.
      def others(proof)
        return [] unless proof.before && proof.after

        repairs = @assessment.repairs[proof.before.round...proof.after.round] - [proof.repair]
        between = @changes.select { |change| change.at > proof.before.taken_at && change.at <= proof.after.taken_at }
        (repairs.map { |repair| name(repair) } + between.map(&:what)).uniq
      end

      # Undone it failed at the points where it failed before; it is proved only by a sound reading since.
      def undone_and_redone?(proof)
        proof.state == 'proved' && proof.undone.any? { |one| @assessment.judgements.fetch(one.id).act? }
      end

      def name(repair)
        return Wording.inside(Units::Parts.fetch(repair.element).label) if repair.unit.nil?

        Paths::Words.part(@assessment.machine.repair_units.fetch(repair.unit))
      rescue UnknownKeyError
        repair.unit
      end
    end
  end
end
