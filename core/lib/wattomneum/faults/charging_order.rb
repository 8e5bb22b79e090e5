# frozen_string_literal: true

module Wattomneum
  module Faults
    # The order of work behind a charging complaint, once the batteries are known.
    class ChargingOrder
      # What is about the alternator itself.
      BEFORE_ITSELF = ['ripple', 'alternator_output', nil].freeze
      # Straight along a path from the post, where its test fails: the place at its other end.
      ALONG = { 'output_terminal_stopped' => %w[positive_post alternator_output], 'sense_feed' => %w[positive_post sense_terminal],
                'alternator_output_drop' => %w[positive_post alternator_output],
                'alternator_case_drop' => %w[negative_post alternator_case] }.freeze
      # What enables it without a lamp in between is a feed like any other.
      ENABLES = { 'excitation_feed' => %w[positive_post excitation_terminal] }.freeze
      HEIGHT = %w[posts_rest charging_fast_idle].freeze
      private_constant :ALONG, :HEIGHT, :ENABLES, :BEFORE_ITSELF

      # @param assessment [Assessment]
      # @param steps [NextStep] makes the steps
      def initialize(assessment, steps)
        @assessment = assessment
        @steps = steps
      end

      # Overcharge seen: what the regulator sees comes before anything else. Flat from standing, and something draws: that is found first.
      #
      # @return [Step, nil]
      def in_hand
        return drained if @assessment.symptom.goes_flat?
        return unless overcharges?

        key = in_order('overcharges').find { |test| fits?(test) && @steps.open?(test) }
        locate || (key && @steps.measure(key, why: 'Overcharge seen: sense and regulator ground before anything else')) || condemn
      end

      # @return [Step, nil]
      def call
        found = BankInside.new(@assessment, @steps).call || rubbed_through || locate
        return found if found
        return condemn if ladder.signed? && condemn
        return @steps.between(exciter, why: HELD) if exciter && held_asked?

        key = in_order(so_far).find { |test| asked?(test) }
        return field if fails? && BEFORE_ITSELF.include?(key) && field
        return @steps.measure(key, why: why(key)) if key

        open_rung || (condemn if fails?)
      end

      private

      # Nothing is charged or replaced while it goes on.
      def drained
        judgement = @assessment.judgement('draw_asleep') or return
        # Read while it was awake: once more, so that it counts, before the work goes on without it.
        return @steps.measure('draw_asleep', why: judgement.summary) if @steps.open?('draw_asleep')
        return unless judgement.act? && judgement.usable?

        Step.new(kind: 'watch', minutes: 0, title: 'Something draws while it stands: find its branch, mend it, then read the draw again',
                 why: [judgement.summary, judgement.instead].compact.join('. '))
      end

      # A small drop at what flows now cannot be had better while no more flows.
      def asked?(test) = fits?(test) && @steps.open?(test) && !Evidence::Points::DropJudge::WANTS_CURRENT.include?(@assessment.judgement(test)&.code)

      # What a reading of its own speaks against is asked all of its ladder.
      def open_rung
        rung = ladder.missing if ladder.signed?
        key = rung&.state == 'open' ? rung.tests.find { |test| asked?(test) } : nil
        key && @steps.measure(key, why: "#{ladder.label} is suspected; this rung of its proof is open: #{Wording.inside(rung.label)}")
      end

      def in_order(where) = Acts.of('charging', 'in_order', where: where)

      # What the readings say so far.
      def so_far
        return unless fails?

        charges? ? 'charges_too_little' : 'fails'
      end

      def charges? = %w[charging_fast_idle charging_loaded].none? { |key| @assessment.judgement(key)&.figures&.key?(:rise_volt) }

      # Where on a feed or ground that failed: the lamp or the pile stays on.
      def locate
        ALONG.each_key.lazy.filter_map { |key| along(key, ALONG.fetch(key)) if @assessment.judgement(key)&.act? }.first || excitation
      end

      def along(key, ends)
        places = @assessment.machine.sheet.places
        shown_by = @assessment.reading(key)
        whole = Readings::Catalogue.fetch(key).probe(@assessment.machine.sheet, state: shown_by.state) or return
        search = Paths::DropSearch.new(@assessment.paths, whole, ends: ends.map { |place| places.fetch(place) })
        probe = search.next_probe
        return once_more(key, search) if probe.nil?

        lamp_on = whole.from if Readings::Catalogue.fetch(key).feed?
        as_before = lamp_on ? "the lamp still on #{Paths::Words.short(lamp_on, @assessment.machine)}" : 'at the same current'
        @steps.between(probe, lamp_on: lamp_on,
                              why: "#{Quantities::Figure.volt(search.unexplained_volt)} is lost between #{search.words}: #{as_before}")
      end

      # Not one of its pieces loses what the whole is said to lose.
      def once_more(key, search)
        piece = @steps.piece_again(search, key)
        return piece if piece
        return unless search.misfit? && @assessment.times(key) == 1

        test = Readings::Catalogue.fetch(key)
        Step.new(kind: 'repeat', test_key: key, minutes: test.minutes, title: "Once more: #{Wording.inside(test.label)}",
                 why: 'No part of it explains it: a reading may be wrong, or it comes and goes')
      end

      # Through the charge lamp; where a regulator stands outside, its field says all; straight on where there is neither.
      def excitation
        return unless @assessment.judgement('excitation_feed')&.act?

        lamp = @assessment.paths.circumstances.uses.charge_lamp
        return @steps.down(@assessment.machine.consumers.needed(lamp), 'key_on') if lamp

        field || ENABLES.lazy.filter_map { |key, ends| along(key, ends) }.first
      end

      # A regulator of its own is looked into before the alternator is.
      def field
        return @field if defined?(@field)

        @field = @assessment.paths.field&.then { |consumer| @steps.down([consumer], 'key_on') }
      end

      def fits?(test)
        return false if test == 'alternator_output' && @assessment.system.alternator_rating_ampere.nil?
        return false if test == 'charge_lamp_apart' && @assessment.reading('charge_lamp_key_on')&.observation != 'lit'

        Readings::Catalogue.fetch(test).fits?(@assessment.system)
      end

      # Over what is overcharging, or over its band where somebody said that it charges too much.
      def overcharges?
        found = %w[charging_fast_idle charging_loaded].filter_map { |key| @assessment.judgement(key) }
        found.any? { |one| one.figures.key?(:over_by_volt) } || (@assessment.symptom.overcharges? && found.any? { |one| one.code == 'charging.high' })
      end

      def fails?
        %w[charging_fast_idle charging_loaded].any? { |key| @assessment.judgement(key)&.act? }
      end

      def why(key)
        return 'It charges, and the batteries hold: what draws while it stands?' if key == 'draw_asleep'
        return 'It is lit: does it find its ground through the alternator, or elsewhere?' if key == 'charge_lamp_apart'
        return 'Feeds and grounds before the alternator' if fails? && !HEIGHT.include?(key)

        key == 'posts_rest' ? 'The rise is counted from here' : 'Height first, then under load'
      end

      # Lit with the alternator unplugged: ohms from the end that hangs free say it of the wire, which the lamp alone does not.
      def rubbed_through
        return unless @assessment.judgement('charge_lamp_apart')&.act?

        lamp = @assessment.paths.circumstances.uses.charge_lamp or return
        node = @assessment.machine.sheet.places.fetch('excitation_terminal')
        Paths::FreeEnd.new(@assessment.paths, node: node, opened: [node.split(':', 2).first, lamp.id]).call
      end

      def ladder = @ladder ||= @assessment.ladders.find { |one| one.suspect == 'alternator' }

      def condemn
        return unless ladder.complete? && !@steps.mended_in_vain?('alternator', nil)

        failing = %w[alternator_output charging_fast_idle charging_loaded].find { |key| @assessment.judgement(key)&.act? }
        Step.new(kind: 'condemn', element: 'alternator', title: 'Alternator with regulator is proved bad',
                 minutes: Units::Parts.fetch('alternator').minutes, failing_reading_id: @assessment.reading(failing)&.id, why: condemned_by)
      end

      WHY = {
        'none' => 'Everything that serves it is right, and it does not charge',
        'low' => 'It gives its rating and holds too little, and what it senses by is right',
        'over' => 'It holds too much, and what it senses by is right',
        'open_field' => 'Its lamp goes on through another lamp and not through the alternator: its field is open'
      }.freeze
      private_constant :WHY

      HELD = 'Plugged in, on its own terminal: does the field draw nothing, or does the plug not reach it?'
      private_constant :HELD

      def exciter = Paths::Probes.excited(@assessment.machine.sheet)
      def held_asked? = ladder.missing&.key == 'field_open' && ladder.missing.state == 'open'

      def condemned_by = WHY.fetch(ladder.bracket.key)
    end
  end
end
