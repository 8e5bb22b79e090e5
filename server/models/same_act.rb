# frozen_string_literal: true

module Server
  module Models
    # What was read in the same act as another reading: in the same crank, at once. Taken with it or not at all.
    class SameAct
      # Said once for the whole act.
      SHARED = %i[engine_meanwhile repair_undone].freeze

      # @param input [Hash] of Contracts::NewReading; together holds the others
      # @param unit [Unit]
      # @param now [Time]
      def initialize(input, unit:, now:)
        @input = input
        @unit = unit
        @now = now
      end

      # @return [Array<Hash>] attributes of a Reading each, with its id
      # @raise [Refusals::InvalidInput, Refusals::Question] named by its test
      def rows = @input.fetch(:together).map { |one| of_test(one[:test_key]) { row(one) } }

      private

      def row(one)
        test = Wattomneum::Readings::Catalogue.fetch(one[:test_key])
        refuse(test, 'is not read in the same state') unless test.state == state
        entry = ReadingEntry.new(test_key: test.key, position: nil, input: said(one), unit: @unit, now: @now)
        { id: one[:id], **entry.attributes }
      end

      def state = @input[:state] || Wattomneum::Readings::Catalogue.fetch(@input[:test_key].to_s).state

      def said(one)
        shared = @input.fetch(:conditions, {}).slice(*SHARED)
        one.merge(@input.slice(:taken_at, :acknowledged), conditions: shared.merge(one.fetch(:conditions, {})))
      end

      # What is wrong with one of them is said of that one.
      def of_test(key)
        yield
      rescue Refusals::Question => e
        raise Refusals::Question.new(e.message, fields: { "together.#{key}" => [e.message] },
                                                details: { question: e.details.fetch(:question).merge(test_key: key) })
      rescue Refusals::InvalidInput => e
        named(key, e.fields.empty? ? e.message : e.fields.values.flatten.first)
      rescue Wattomneum::InvalidQuantityError => e
        named(key, e.message)
      end

      def refuse(test, sentence) = named(test.key, sentence)

      def named(key, sentence)
        label = Wattomneum::Readings::Catalogue.fetch(key).label
        raise Refusals::InvalidInput.new("#{label}: #{sentence}", fields: { "together.#{key}" => [sentence] })
      end
    end
  end
end
