# frozen_string_literal: true

module Wattomneum
  module Jobs
    # A job closes only when its repair is proved and nothing is left off. Otherwise it parks, with the missing point named.
    module CloseGate
      # @param assessment [Faults::Assessment]
      # @return [Array<String>] missing points; empty when the job may close
      def self.missing(assessment)
        return ['No repair is recorded: park the job with what is known, or cancel it'] if assessment.repairs.empty?

        [*assessment.proofs.filter_map(&:owed), *whole_paths(assessment), *complaint(assessment), *disturbed(assessment)].uniq
      end

      # A whole path that failed is owed a whole path, whatever its stretches say.
      #
      # @param assessment [Faults::Assessment]
      # @return [Array<String>] keys of the tests that are owed
      def self.owed_whole_paths(assessment)
        Readings::Catalogue::START_SIDES.select do |key|
          failed = assessment.readings.any? { |one| one.test_key == key && one.round < assessment.round && assessment.judgements.fetch(one.id).act? }
          failed && !assessment.judgement(key)&.sound?
        end
      end
      # What must be seen after the repair, by what the complaint was about: test, and what it is called when it was not.
      SEEN = { 'starting' => { 'cranking_behaviour' => 'See it crank after the repair' },
               'charging' => { 'charging_fast_idle' => 'See it charge at fast idle after the repair',
                               'charging_loaded' => 'See it carry its loads after the repair' } }.freeze
      private_constant :SEEN

      # @param assessment [Faults::Assessment]
      # @return [Array<String>] keys of the tests in which the complaint has to be seen gone, in order, that are not sound yet
      def self.unseen(assessment) = SEEN.fetch(assessment.symptom.work, {}).keys.reject { |key| assessment.judgement(key)&.sound? }

      # The same in words.
      def self.whole_paths(assessment)
        owed_whole_paths(assessment).map { |key| "Repeat \"#{Readings::Catalogue.fetch(key).label}\": the whole path failed, and is owed as a whole" }
      end
      private_class_method :whole_paths

      def self.complaint(assessment)
        return assessment.paths.nil? ? [] : assessment.paths.owed if assessment.symptom.along_paths?

        unseen(assessment).map do |key|
          judgement = assessment.judgement(key)
          next SEEN.fetch(assessment.symptom.work).fetch(key) if judgement.nil?
          next "Cranked last: \"#{assessment.reading(key).spoken}\". The complaint is not cured" if key == 'cranking_behaviour'

          "\"#{Readings::Catalogue.fetch(key).label}\" is not sound yet: #{judgement.summary}"
        end
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
