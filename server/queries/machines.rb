# frozen_string_literal: true

require 'concurrent/map'

module Server
  module Queries
    # Circuit sheets made ready to answer. What is worked out from a version and its overrides never changes, so it is kept in this
    # process; another process works it out for itself.
    module Machines
      MOST = 60
      KEPT = Concurrent::Map.new
      private_constant :KEPT

      # @param version [Models::SheetVersion]
      # @param overrides [Hash] by item UUID
      # @return [Wattomneum::Circuits::Machine]
      def self.of(version, overrides = {})
        key = [version.digest, overrides.to_h]
        KEPT.clear if KEPT.size > MOST
        KEPT.compute_if_absent(key) { Wattomneum::Circuits::Machine.new(version.to_core.with_overrides(overrides.to_h.transform_values(&:to_h))) }
      end
    end
  end
end
