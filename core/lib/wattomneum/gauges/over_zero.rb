# frozen_string_literal: true

module Wattomneum
  module Gauges
    # What turns or is counted has a size.
    module OverZero
      # @param figures [Hash{Symbol => Numeric}] by name
      # @raise [InvalidQuantityError] for the first that is 0 or less
      def self.check(**figures)
        name, figure = figures.find { |_, one| one <= 0 }
        raise InvalidQuantityError.new("#{name.to_s.tr('_', ' ').capitalize} is over 0, got #{figure}", field: name) if name
      end
    end
  end
end
