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
                   grounds: @grounds.round.order.map { |place| line(place) } }
        InItsWords.call(answer, @grounds.system)
      end

      private

      def line(place)
        due = @grounds.due_on(place)
        { uuid: place.uuid, kind: place.kind, label: place.label, hangs: place.hangs, size: place.wire_size, zone: place.zone&.tr('_', ' '),
          minutes: place.minutes, read_while: READ_WHILE.fetch(@grounds.starts?(place)), last: last(place), due_on: due&.iso8601,
          due: due.nil? || due <= @grounds.today }
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
