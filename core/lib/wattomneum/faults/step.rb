# frozen_string_literal: true

module Wattomneum
  module Faults
    # One thing to do. kind: measure, charge, condemn, repair, prove, repeat, put_back, close, or watch (nothing found)
    #   test_key: of the catalogue, or probe: between two points of the circuit; element: key of Units::Parts, or unit: a repair unit of the
    #   circuit; risks: ids of what can hurt somebody at a step on the circuit; lamp_on: node that a lamp hangs on meanwhile; outcomes: what may
    #   be shown, and what it would mean; together: keys of the tests that are taken in the same crank
    Step = Struct.new(:kind, :title, :why, :test_key, :position, :element, :minutes, :failing_reading_id, :probe, :unit, :risks, :lamp_on, :outcomes,
                      :together, keyword_init: true) do
      # @param test_key [String]
      # @param why [String]
      # @param position [String, nil]
      # @param rest [Hash] whatever else it says
      # @return [Step] of kind measure, unless another is said
      def self.of_test(test_key, why:, position: nil, **rest)
        test = Readings::Catalogue.fetch(test_key)
        title = position ? "#{test.label}, battery #{position}" : test.label
        new(kind: 'measure', test_key: test_key, position: position, minutes: test.minutes, why: why, title: title, **rest)
      end

      # What can hurt somebody at this step: by its test where something is read, by the part where a hand goes in.
      # @return [Array<Safety::Caution>]
      def cautions = Safety::Cautions.fetch_all(caution_ids)

      private

      def caution_ids
        return risks if risks

        case kind
        when 'measure', 'prove', 'repeat' then Readings::Catalogue.fetch(test_key).cautions
        when 'condemn', 'repair' then Units::Parts.fetch(element).cautions
        when 'charge' then %w[batteries frozen_battery]
        when 'put_back' then ['batteries']
        else []
        end
      end
    end
  end
end
