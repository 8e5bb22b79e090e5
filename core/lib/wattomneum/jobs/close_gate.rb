# frozen_string_literal: true

module Wattomneum
  module Jobs
    # A job closes only when its repair is proved and nothing is left off. Otherwise it parks, with the missing point named.
    module CloseGate
      # @param assessment [Faults::Assessment]
      # @return [Array<String>] missing points; empty when the job may close
      def self.missing(assessment)
        return ['No repair is recorded: park the job with what is known, or cancel it'] if assessment.repairs.empty?

        [*assessment.proofs.filter_map(&:owed), *complaint(assessment), *disturbed(assessment)].uniq
      end

      def self.complaint(assessment)
        return [] unless assessment.family == 'starting'

        seen = assessment.reading('cranking_behaviour')
        return ['See it crank after the repair'] if seen.nil?

        seen.observation == 'normal' ? [] : ["It still #{seen.spoken.downcase}: the complaint is not cured"]
      end
      private_class_method :complaint

      def self.disturbed(assessment)
        count = assessment.disturbed_count
        count.zero? ? [] : ["Put back what was disturbed: #{count} still open"]
      end
      private_class_method :disturbed
    end
  end
end
