# frozen_string_literal: true

module Wattomneum
  module Faults
    # One thing to do. kind: measure, charge, condemn, repair, prove, repeat, put_back, close, or watch (nothing found)
    Step = Struct.new(:kind, :title, :why, :test_key, :position, :element, :minutes, :failing_reading_id, keyword_init: true) do
      # What can hurt somebody at this step: by its test where something is read, by the part where a hand goes in.
      # @return [Array<Safety::Caution>]
      def cautions = Safety::Cautions.fetch_all(caution_ids)

      private

      def caution_ids
        case kind
        when 'measure', 'prove', 'repeat' then Readings::Catalogue.fetch(test_key).cautions
        when 'condemn', 'repair' then Systems::Places.element(element).cautions
        when 'charge' then %w[batteries frozen_battery]
        when 'put_back' then ['batteries']
        else []
        end
      end
    end
  end
end
