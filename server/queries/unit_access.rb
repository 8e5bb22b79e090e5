# frozen_string_literal: true

module Server
  module Queries
    # How to get at places of a unit, as it was written for its class, and the places that it has.
    class UnitAccess
      attr_reader :unit

      # @param unit [Models::Unit]
      def initialize(unit)
        @unit = unit
      end

      # @return [Models::UnitClass, nil]
      def unit_class = @unit_class ||= Models::UnitClass.of(unit)

      # @return [Array<Models::AccessNote>] by place
      def notes = Models::AccessNote.of_class(unit.unit_class_id)

      # @return [Array<String>] what its parts and where they sit are called
      def places
        sheet = UnitCircuits.new(unit.id).drawn&.sheet or return []
        (sheet.parts.map(&:label) + sheet.zones.values.filter_map { |zone| zone['label'] }).uniq.sort
      end
    end
  end
end
