# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # Where every relay, driver, fuse and diode of a circuit stands.
      #   energised: ids of relays that are pulled in; driven: branches whose driver is on; forward: diodes that conduct;
      #   blown: ids of fuses that have opened
      Positions = Struct.new(:energised, :driven, :forward, :blown, keyword_init: true) do
        # @return [Positions] everything at rest
        def self.rest = new(energised: [], driven: [], forward: [], blown: [])

        def initialize(**)
          super
          freeze
        end

        # @param changes [Hash{Symbol => Array}]
        # @return [Positions]
        def with(**changes) = self.class.new(**to_h, **changes)
      end
    end
  end
end
