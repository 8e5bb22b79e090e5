# frozen_string_literal: true

require 'forwardable'

module Wattomneum
  module Faults
    # One next step at a time, in the order of work: see it fail, look, batteries, connections, cranking, charging;
    # mend what is convicted; prove it by the reading that failed; put back; close.
    class NextStep
      extend Forwardable

      # Suspects with a proof ladder: not to be replaced before it is climbed.
      LADDERED = %w[starter alternator battery].freeze
      UNPROVED = %w[missing void].freeze
      private_constant :UNPROVED

      # @param assessment [Assessment]
      def initialize(assessment)
        @assessment = assessment
        @tried = Tried.new(assessment)
      end

      def_delegators :@tried, :in_vain?, :open?, :mended_in_vain?, :counts?

      # @return [Step]
      def call
        return works_now if assessment.engine.in_vain?

        step = usable(along_paths || contradicted || prove || mending.call || finish || order_of_work) || nothing_found
        starting? ? SameCrank.new(assessment).with(step) : step
      end

      # @param test_key [String]
      # @param why [String]
      # @param position [String, nil]
      # @return [Step] of kind measure
      def measure(test_key, why:, position: nil)
        Step.of_test(test_key, why: assessment.engine.again(test_key) || why, position: position)
      end

      # @param probe [Readings::Probe]
      # @param why [String]
      # @param lamp_on [String, nil] node that a lamp hangs on meanwhile
      # @return [Step] of kind measure
      def between(probe, why:, lamp_on: nil) = Paths::Order.new(assessment.paths).measure(probe, why: why, lamp_on: lamp_on)

      # @param consumers [Array<Circuits::Consumer>] that lack something
      # @param situation [String]
      # @return [Step, nil] along their feeds and returns
      def down(consumers, situation)
        Paths::Order.new(assessment.paths.seen_in(situation)).down(consumers)
      end

      # @param search [Paths::DropSearch]
      # @param test_key [String] of the whole
      # @return [Step, nil] a piece of it once more, where its pieces do not add up to it
      def piece_again(search, test_key)
        probe = search.unsure(whole_stands: assessment.times(test_key) > 1) or return

        Paths::Order.new(assessment.paths).measure(probe, kind: 'repeat', title: "Once more: #{Paths::Words.probe(probe, assessment.machine)}",
                                                          why: 'The pieces do not add up to the whole: this one was read only once')
      end

      # @return [Step, nil] what is left to know of the batteries
      def each_battery = BatteriesFirst.new(assessment, self).call

      private

      attr_reader :assessment

      def mending = @mending ||= Mending.new(assessment, self)
      def finish = assessment.repairs.any? ? Finishing.new(assessment, self).call : nil

      def behaviour = assessment.reading('cranking_behaviour')&.observation
      def starting? = assessment.symptom.work == 'starting'

      # What was read last and could not be used is not asked for again as it was: the step says what would make it count. Twice in
      # vain, and it goes on without it.
      def usable(step)
        return step unless step&.test_key && %w[measure prove repeat].include?(step.kind)

        judgement = assessment.judgement(step.test_key, position: step.position)
        return step if judgement.nil? || (step.kind == 'prove' ? judgement.sound? : counts?(judgement))
        return step unless last_taken?(step)

        Step.new(**step.to_h, kind: step.kind == 'prove' ? 'prove' : 'repeat', title: "Once more, so that it counts: #{step.title}",
                              why: [judgement.summary, judgement.instead].compact.join('. '))
      end

      def last_taken?(step)
        last = assessment.readings.last
        last.test_key == step.test_key && last.position == step.position
      end

      # What somebody found between two points of his own choice is mended and proved like everything else.
      def along_paths = assessment.paths&.readings&.any? || assessment.repairs.any?(&:unit) ? assessment.paths.aside : nil

      # What fits least is read once more before anything is built on it.
      def contradicted
        key = assessment.circumstances.moment.doubtful(assessment.round).map(&:test_key).find { |one| assessment.times(one) == 1 }
        return if key.nil?

        test = Readings::Catalogue.fetch(key)
        Step.new(kind: 'repeat', test_key: key, minutes: test.minutes, title: "Once more: #{Wording.inside(test.label)}", why: CANNOT_BE)
      end

      CANNOT_BE = 'What was read of this moment cannot all be true, and this fits least'
      private_constant :CANNOT_BE

      # -- proving a repair

      def prove
        proof = assessment.proofs.find { |one| !one.along_circuit? && UNPROVED.include?(one.state) && !@tried.proved_in_vain?(one.before) }
        return if proof.nil?

        test = proof.before.test
        companion = missing_companion(test)
        return measure(companion, why: Paths::StartCompanion::WHAT_FLOWS) if companion

        Step.new(kind: 'prove', test_key: test.key, position: proof.before.position, minutes: test.minutes,
                 failing_reading_id: proof.before.id, element: proof.repair.element,
                 title: "Prove it: #{Wording.inside(test.label)}#{at_position(proof.before.position)}",
                 why: "It showed the fault at #{proof.before.spoken}: same points, same state")
      end

      # A proving drop is worth nothing unless it is known what the engine did.
      def missing_companion(test)
        return unless test.state == 'cranking' && test.key != 'cranking_behaviour'

        needs = ['cranking_behaviour']
        needs << 'posts_cranking' if %w[solenoid_signal starter_terminal].include?(test.key)
        needs.find { |key| assessment.reading(key).nil? }
      end

      # -- the order of work

      def order_of_work
        order = (starting? ? StartingOrder : ChargingOrder).new(assessment, self)
        return seen if behaviour == 'spins_free'

        seen || until_it_fails || order.in_hand || looked_at || batteries || order.call
      end

      UNTIL_IT_FAILS = 'It comes and goes: what is read while it cranks tells nothing. Wiggle the loom, try it warm and wet, with the headlamps on'
      private_constant :UNTIL_IT_FAILS

      def until_it_fails
        return unless assessment.engine.waited_for?

        Step.of_test('cranking_behaviour', kind: 'repeat', title: 'Crank it again until it fails', why: UNTIL_IT_FAILS)
      end

      def works_now
        Step.new(kind: 'watch', minutes: 0, title: 'It cranks now: park it with what is known',
                 why: 'A start that comes and goes is not closed by one good crank. Read it again when it fails')
      end

      def seen = first_of(Acts.of(assessment.symptom.work, 'first', where: assessment.symptom.seen))
      def looked_at = first_of(['connections_look'])

      def first_of(keys)
        missing = keys.find { |test| assessment.reading(test).nil? && Readings::Catalogue.fetch(test).fits?(assessment.system) }
        missing && measure(missing, why: why_first(missing))
      end

      def why_first(key)
        return 'Eyes and hands before the meter' if key.end_with?('look')

        key == 'draw_asleep' ? 'Flat from standing: read what draws before anything is charged or replaced' : 'See it fail before anything is touched'
      end

      def batteries
        each_battery unless answered_by_the_crank?
      end

      # Posts that hold under the cranking current have answered for the batteries.
      def answered_by_the_crank?
        posts = assessment.judgement('posts_cranking')
        starting? && posts&.sound? && posts.weight == 'proof'
      end

      # Where the complaint leads when nothing is left to measure.
      ELSEWHERE = {
        'starts_and_dies' => 'It starts: look at fuel supply and stop circuit, control-unit feed and immobiliser',
        'normal' => 'It cranks: where it starts hard, look at fuel supply and stop circuit, control-unit feed and immobiliser'
      }.freeze
      private_constant :ELSEWHERE

      def nothing_found
        elsewhere = ELSEWHERE[behaviour] if starting?
        return suspected if elsewhere.nil? && (mending.failures + mending.watched).any?

        Step.new(kind: 'watch', minutes: 0, title: elsewhere || 'Nothing wrong found: park it with what is known',
                 why: "Every test in the order of work is sound. #{left_open}")
      end

      def left_open = OrdersOfWork.fetch(assessment.symptom.work).said(assessment.symptom.seen).left_open

      # Something fails and no part is proved: said as it is. Nothing is condemned because nothing else is left.
      def suspected
        found = (mending.failures + mending.watched).flat_map(&:rules_in).uniq.first(3)
        Step.new(kind: 'watch', minutes: 0, title: 'No part is proved: park it with what is suspected',
                 why: found.empty? ? 'Nothing is condemned because nothing else is left' : "Suspected, not proved: #{found.join('; ')}")
      end

      def at_position(position) = position ? ", battery #{position}" : ''
    end
  end
end
