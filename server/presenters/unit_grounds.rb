# frozen_string_literal: true

module Server
  module Presenters
    # The grounds of a unit in the order of a round: what hangs on each, what it last came to, when it is due.
    class UnitGrounds
      CORE = Wattomneum
      # Metals by name; "G3:joint" is the ring's bolt.
      READ_WHILE = { true => 'while it cranks', false => 'with what hangs on it switched on' }.freeze
      private_constant :READ_WHILE

      # @param grounds [Queries::UnitGrounds]
      def self.call(grounds) = new(grounds).call

      def initialize(grounds)
        @grounds = grounds
      end

      def call
        answer = { unit: @grounds.unit.values.slice(:id, :number, :name), time_zone: @grounds.unit.yard.time_zone,
                   minutes: @grounds.round.minutes.round,
                   done_words: Models::GroundService::DONE.map { |key, label| { key: key, label: label } }, cautions: cautions,
                   grounds: @grounds.round.order.map { |place| line(place) }, sisters: sisters, second: second }
        InItsWords.call(answer, @grounds.system)
      end

      private

      def line(place)
        due = @grounds.due_on(place)
        { uuid: place.uuid, kind: place.kind, label: place.label, hangs: place.hangs, size: place.wire_size, zone: place.zone&.tr('_', ' '),
          minutes: place.minutes, read_while: READ_WHILE.fetch(@grounds.starts?(place)), last: last(place), due_on: due&.iso8601,
          due: due.nil? || due <= @grounds.today, sisters: baseline(place) }
      end

      # Beside what it came to, never in the place of a limit.
      def baseline(place)
        found = @grounds.baseline(place) or return
        last = @grounds.services[place.uuid]
        say = ->(milliohm) { CORE::Quantities::Figure.ohm(milliohm / 1000.0) }
        { words: "Sister units: #{CORE::Quantities::Figure.give_or_take(found.median, found.spread, &say)} (#{found.count} of them)",
          far: last&.after_volt ? found.far?(CORE::Grounds::Check.milliohm(last.after_volt, last.after_ampere)) : false }
      end

      def sisters
        @grounds.sisters.map do |unit, last_on|
          due = CORE::Readings::Due.on(last_on, @grounds.months(unit.exposure))
          { **unit.values.slice(:id, :number, :name), last_on: last_on&.iso8601, due: due.nil? || due <= @grounds.today }
        end
      end

      def second
        rating = @grounds.unit.alternator_rating_ampere
        return if rating.nil? || @grounds.system.insulated?

        section = CORE::Grounds::Second.section_mm2(rating)
        chosen = @grounds.rules.schools.fetch('second_ground') == 'second'
        { chosen: chosen, school: @grounds.rules.schools.words('second_ground'), advice: advice(chosen, section, rating), section_mm2: section,
          added: @grounds.second && added(@grounds.second) }
      end

      def advice(chosen, section, rating)
        return 'Where its drop is too large, mend the joint of its bracket: bright metal, torque, protection' unless chosen
        return 'No single cable of the table carries its full output: one that its maker names' if section.nil?

        "#{section.round} mm2 or more, for #{CORE::Quantities::Figure.ampere(rating)}. Prove the engine ground first, or the starter's current " \
          'comes this way'
      end

      def added(one)
        { **one.values.slice(:id, :section_mm2, :note), person: one.person.name, added_at: one.added_at.iso8601 }
      end

      def last(place)
        service = @grounds.services[place.uuid] or return
        { at: service.served_at.iso8601, done: service.done.to_a, note: service.note,
          before: drop(place, service.before_volt, service.before_ampere), after: drop(place, service.after_volt, service.after_ampere) }
      end

      # Judged by the limits of now.
      def drop(place, volt, ampere)
        return if volt.nil?

        check = @grounds.check(place, volt: volt, ampere: ampere)
        { milliohm: check.milliohm.round(3), verdict: check.verdict, words: check.words }
      end

      def cautions
        ids = @grounds.round.order.flat_map(&:cautions) + ['cranking']
        CORE::Safety::Cautions.on(CORE::Safety::Cautions.fetch_all(ids.uniq), @grounds.system).map(&:text)
      end
    end
  end
end
