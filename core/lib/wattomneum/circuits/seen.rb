# frozen_string_literal: true

module Wattomneum
  module Circuits
    # What people call a thing that has only a share of what it should have.
    module Seen
      # Under the first share it does nothing, under the second it is weak (a start from a study).
      DEAD_UNDER = 0.35
      WEAK_UNDER = 0.88
      private_constant :DEAD_UNDER, :WEAK_UNDER

      # @param share [Float] of its sound volts or ampere
      # @return [String] dead, weak or works
      def self.word(share)
        return 'dead' if share.abs < DEAD_UNDER

        share.abs < WEAK_UNDER ? 'weak' : 'works'
      end
    end
  end
end
