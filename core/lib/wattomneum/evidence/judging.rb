# frozen_string_literal: true

module Wattomneum
  module Evidence
    # Judges one reading: the test's own judge says what the value means, the preconditions say whether it may say so.
    module Judging
      # @param reading [Readings::Reading]
      # @param circumstances [Circumstances]
      # @yieldreturn [Judgement] for a drop along the unit's circuit: what it says there
      # @return [Judgement]
      def self.call(reading, circumstances)
        question = open_question(reading, circumstances.system)
        return unconfirmed(reading, question) if question

        other = OtherKinds.judgement(reading, circumstances.system)
        return other if other

        judgement = reading.test.along_circuit? ? yield : judge_class(reading.test, circumstances.system).new(reading, circumstances).call
        circumstances.moment.held_against(apply_preconditions(judgement, Preconditions.new(reading, circumstances.system)))
      end

      def self.judge_class(test, system)
        return Charging::SetpointJudge if Charging::SetpointJudge.for?(test, system)

        test.judge.split('::').reduce(Wattomneum) { |space, name| space.const_get(name) }
      end
      private_class_method :judge_class

      def self.open_question(reading, system)
        return if reading.value.nil? || reading.conditions.said('value_confirmed') == :yes

        Readings::Plausibility.question(test: reading.test, value: reading.value, system: system, unit: reading.unit)
      end
      private_class_method :open_question

      def self.unconfirmed(reading, question)
        Judgement.new(reading_id: reading.id, verdict: 'unproven', validity: 'unstated', weight: 'none', code: 'reading.asked',
                      summary: Findings.sentence('reading.asked', question: question.text), reasons: ['The value was not confirmed'],
                      instead: 'Read again, or confirm it')
      end
      private_class_method :unconfirmed

      def self.apply_preconditions(judgement, preconditions)
        objections = preconditions.objections
        unstated = preconditions.unstated
        return judgement if objections.empty? && unstated.empty?

        judgement.with(verdict: 'unproven', would_be: judgement.would_be || judgement.verdict, weight: 'none',
                       validity: objections.any? ? 'void' : 'unstated', convicts: [], clears: [],
                       rules_in: [], rules_out: [], reasons: judgement.reasons + objections + unstated,
                       instead: preconditions.instead)
      end
      private_class_method :apply_preconditions
    end
  end
end
