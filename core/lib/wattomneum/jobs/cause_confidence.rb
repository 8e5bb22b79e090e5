# frozen_string_literal: true

module Wattomneum
  module Jobs
    # How sure it is that what was mended was the cause: a rung of core/data/cause_confidence.yml, by what was changed between the reading
    # that showed the fault and the sound one, and by what each of them was read across.
    class CauseConfidence
      RUNGS = DataFile.load('cause_confidence').to_h { |row| [row['rung'], row] }.freeze

      # @param proof [Proof] of the repair
      # @param repaired [String] what was mended, in words
      # @param convicted [Boolean] whether the reading that failed convicts what was mended
      # @param others [Array<String>] what else was changed between the two readings
      # @param undone_and_redone [Boolean] whether it failed again with the repair undone, and was sound with it redone
      def initialize(proof, repaired:, convicted:, others: [], undone_and_redone: false)
        @proof = proof
        @repaired = repaired
        @convicted = convicted
        @others = others
        @undone_and_redone = undone_and_redone
      end

      # @return [String, nil] nil while the repair is not proved
      def rung
        return unless @proof.state == 'proved'
        return 'undone_and_redone' if @undone_and_redone
        return 'confounded' if @others.any?

        @convicted ? 'isolated' : 'timing'
      end

      # @return [String, nil]
      def words
        return if rung.nil?

        RUNGS.fetch(rung)['says'].sub('{count}', (@others.size + 1).to_s).sub('{changes}') { [@repaired, *@others].join('; ') }
      end

      # @return [Boolean] whether it counts as a case for what fails how often
      def full_weight? = !rung.nil? && RUNGS.fetch(rung)['full_weight']
    end
  end
end
