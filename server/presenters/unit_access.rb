# frozen_string_literal: true

module Server
  module Presenters
    # How to get at places of a unit.
    module UnitAccess
      # @param access [Queries::UnitAccess]
      def self.call(access)
        { unit_class: access.unit_class&.label, places: access.places, notes: access.notes.map { |one| note(one) } }
      end

      # @param one [Models::AccessNote] its person loaded
      def self.note(one)
        { **one.values.slice(:id, :place, :text), person: one.person.name, noted_at: one.noted_at.iso8601 }
      end
    end
  end
end
