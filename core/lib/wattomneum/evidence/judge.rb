# frozen_string_literal: true

module Wattomneum
  module Evidence
    # Base of the judges: one reading and its circumstances in, one Judgement out.
    class Judge
      Figure = Quantities::Figure

      # @param reading [Readings::Reading]
      # @param circumstances [Circumstances]
      def initialize(reading, circumstances)
        @reading = reading
        @circumstances = circumstances
        @system = circumstances.system
        @limits_used = []
        @arithmetic = []
      end

      private

      attr_reader :reading, :circumstances, :system

      def test = reading.test
      def value = reading.value

      # Looks a limit up and remembers it for the why lines.
      def limit(id)
        row = system.limit(id, limits: circumstances.limits)
        @limits_used |= [row]
        row.value
      end

      # A limit that a printed table gives at this temperature, remembered like the others.
      def table_limit(id, value, table)
        data = Batteries::Tables::DATA.fetch(table)
        @limits_used |= [Limits::Limit.new(id: id, words: data.fetch('words'), system_volt: 'any', value: value, unit: 'V',
                                           source_kind: data.fetch('source_kind'), source: data.fetch('source'))]
        value
      end

      # Where a figure lies against a limit: :over, :under, or :at, within what the meter may be off.
      def side(figure, limit_value, error)
        return :over if figure > limit_value + error

        figure < limit_value - error ? :under : :at
      end

      # Within the meter's own error of a limit: worth a second look, proof of nothing.
      def at_the_limit(code, error, **rest)
        sum("the meter may be off by #{Figure.volt(error)}")
        finding(code, 'watch', weight: 'support', instead: AT_LIMIT, **rest)
      end

      AT_LIMIT = 'Read it again, probing straight across the two points'
      private_constant :AT_LIMIT

      # What a meter shows has few decimals; binary noise must not decide at a limit.
      def difference(one, other) = (one - other).round(6)

      def sum(line)
        @arithmetic << line
      end

      # What rests on an approximate charge is approximate.
      def approximate_charge? = circumstances.charge(reading)&.validity == 'approximate'

      # The posts as read beside this reading, in the same moment.
      def posts_now = reading.conditions.number('posts_now_volt')

      def companion(test_key, position: nil) = circumstances.companion(reading, test_key, position: position)

      # A finding by its code; its sentence is made from what is said, in one place.
      def finding(code, verdict, said: {}, **rest)
        Judgement.new(reading_id: reading.id, code: code, verdict: verdict, summary: Findings.sentence(code, **said), limits: @limits_used,
                      arithmetic: @arithmetic, **rest)
      end

      # A reading that cannot be used, with the way to one that can.
      def void(code, instead:, **rest)
        finding(code, 'unproven', validity: 'void', weight: 'none', instead: instead, **rest)
      end
    end
  end
end
