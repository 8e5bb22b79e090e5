# frozen_string_literal: true

module Server
  module Models
    # A part condemned, with the ladder as it stood.
    class Condemnation < Sequel::Model(:condemnation)
      unrestrict_primary_key

      # @return [String] what was condemned
      def part_label = label || Wattomneum::Units::Parts.fetch(element).label
    end
  end
end
