# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # What one version of a sheet says otherwise than another.
      module Difference
        # @param before [Wattomneum::Circuits::Sheet]
        # @param after [Wattomneum::Circuits::Sheet]
        # @return [Array<Hash>]
        def self.call(before, after) = Wattomneum::Circuits::Drafting::Difference.between(before, after).map(&:to_h)
      end
    end
  end
end
