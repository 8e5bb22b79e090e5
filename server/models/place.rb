# frozen_string_literal: true

module Server
  module Models
    # A point of one unit: one that has a name of its own, as its posts have, or a pin of its circuit that was measured at. Never changes its
    # meaning.
    class Place < Sequel::Model(:place)
      class << self
        # The row of a point, made on first use. Two who measure there at once make one.
        #
        # @param unit_id [String]
        # @param point [Wattomneum::Circuits::Point]
        # @param sheet [Wattomneum::Circuits::Sheet] the unit's circuit
        # @return [Place]
        def at(unit_id, point, sheet)
          role = Wattomneum::Circuits::Roles.at(point.node, sheet)
          role ? named(unit_id, role.key) : of_pin(unit_id, point)
        end

        # The row of a point that goes by what it is, made on first use.
        #
        # @param unit_id [String]
        # @param key [String] of Wattomneum::Circuits::Roles
        # @return [Place]
        def named(unit_id, key)
          first(unit_id: unit_id, key: key) || begin
            dataset.insert_conflict.insert(unit_id: unit_id, key: key, label: Wattomneum::Circuits::Roles.fetch(key).label)
            first(unit_id: unit_id, key: key)
          end
        end

        private

        def of_pin(unit_id, point)
          where = { unit_id: unit_id, item_uuid: point.item_uuid, pin: point.pin }
          dataset.insert_conflict.insert(**where, label: point.label)
          first(where)
        end
      end

      # @param circuit [Queries::JobCircuit, Queries::UnitCircuits]
      # @param machine [Wattomneum::Circuits::Machine] of it
      # @return [String, nil] node of the circuit that it is now; nil where the sheets do not have it
      def node_on(circuit, machine) = key ? machine.sheet.places[key] : circuit.node_of(item_uuid, pin)

      # @return [String] without the words behind it
      def short = key ? label : label.split(', ', 2).first
    end
  end
end
