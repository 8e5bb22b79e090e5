# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # A reading of volts that may be taken. unit: the part it is straight across, nil else; needs: consumers that have to have their volts
      # before it tells anything of that part, what closes a contact or lets a driver work; minutes: to take it
      Candidate = Struct.new(:from, :to, :unit, :needs, :minutes, keyword_init: true) do
        # @param minutes [Float]
        # @return [Candidate] the same
        def with_minutes(minutes) = self.class.new(**to_h, minutes: minutes)
      end
    end
  end
end
