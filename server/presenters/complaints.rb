# frozen_string_literal: true

module Server
  module Presenters
    # What of a unit's circuit a complaint can be about.
    module Complaints
      # @param things [Array<Wattomneum::Circuits::Complaints::Thing>]
      def self.call(things)
        { things: things.map do |thing|
          { work: thing.work, part: thing.part, label: thing.label, situations: thing.situations.map { |one| { key: one.key, label: one.label } } }
        end }
      end
    end
  end
end
