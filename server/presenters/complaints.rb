# frozen_string_literal: true

module Server
  module Presenters
    # What of a unit's circuit a complaint can be about.
    module Complaints
      # @param things [Array<Wattomneum::Circuits::Complaints::Thing>]
      def self.call(things)
        { things: things.map do |thing|
          { work: thing.work, part: thing.part, label: thing.label, situations: keyed(thing.of_loop ? [] : thing.situations),
            off_in: keyed(thing.off_in) }
        end }
      end

      def self.keyed(situations) = situations.map { |one| { key: one.key, label: one.label } }
      private_class_method :keyed
    end
  end
end
