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

      # What must be seen after the repair, as it is called while it was not.
      SEEN = { 'cranking_behaviour' => 'See it crank after the repair', 'charging_fast_idle' => 'See it charge at fast idle after the repair',
               'charging_loaded' => 'See it carry its loads after the repair',
               'draw_asleep' => 'See that nothing draws much while it stands' }.freeze
      private_constant :SEEN

      # @param assessment [Faults::Assessment]
      # @return [Array<String>] keys of the tests in which the complaint has to be seen gone, in order, that are not sound yet
      def self.unseen(assessment)
        Faults::Acts.of(assessment.symptom.work, 'gone', where: assessment.symptom.seen)
                    .reject { |key| assessment.judgement(key)&.sound? || slept_well?(key, assessment) }
      end

      # What draws while it stands is not changed by a battery: once was enough, but after an alternator, whose diodes may leak.
      def self.slept_well?(key, assessment)
        return false if key != 'draw_asleep' || assessment.repairs.any? { |one| one.element == 'alternator' }

        last = assessment.readings.reverse_each.find { |one| one.test_key == key }
        !last.nil? && assessment.judgements.fetch(last.id).sound?
      end
      private_class_method :slept_well?

      # The same in words.
      def self.whole_paths(assessment)
        owed_whole_paths(assessment).map { |key| "Repeat \"#{Readings::Catalogue.fetch(key).label}\": the whole path failed, and is owed as a whole" }
      end
      private_class_method :whole_paths

      def self.complaint(assessment)
        return assessment.paths.nil? ? [] : assessment.paths.owed if assessment.symptom.along_paths?

        unseen(assessment).map do |key|
          judgement = assessment.judgement(key)
          next SEEN.fetch(key) if judgement.nil?
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
