# frozen_string_literal: true

module Server
  module Presenters
    # What was written on how to get at the places of a step: a note counts where it names a part of the step, or where that sits.
    class StepAccess
      CORE = Wattomneum

      # @param notes [Array<Models::AccessNote>] of the unit's class
      # @param step [CORE::Faults::Step]
      # @param machine [CORE::Circuits::Machine, nil]
      # @return [Array<Hash>] place and text
      def self.call(notes, step, machine)
        return [] if notes.empty?

        named = new(step, machine).names
        notes.select { |note| named.include?(note.place.downcase) }.map { |note| note.values.slice(:place, :text) }
      end

      def initialize(step, machine)
        @step = step
        @machine = machine
      end

      # @return [Set<String>] in small letters
      def names
        said = @machine ? ids.flat_map { |id| around(@machine.sheet.part(id)) } : []
        [*said, element].compact.to_set(&:downcase)
      end

      private

      def element = @step.element && CORE::Units::Parts.fetch(@step.element).label
      def ids = nodes.map { |node| node.split(':', 2).first }.uniq

      def nodes
        return [@step.probe.from, @step.probe.to] if @step.probe
        return test_nodes if @step.test_key

        @step.unit ? unit_nodes : []
      end

      def test_nodes
        test = CORE::Readings::Catalogue.fetch(@step.test_key)
        [test.from, test.to].filter_map { |role| @machine.sheet.places[role] }
      end

      # Its parts, and the ends of its wires.
      def unit_nodes
        uuids = @machine.repair_units.fetch(@step.unit).item_uuids
        @machine.sheet.parts.select { |part| uuids.include?(part.uuid) }.map { |part| "#{part.id}:" } +
          @machine.sheet.wires.select { |wire| uuids.include?(wire.uuid) }.flat_map { |wire| [wire.from, wire.to] }
      end

      def around(part)
        return [] if part.nil?

        [part.label, @machine.sheet.zones.dig(part.zone, 'label')]
      end
    end
  end
end
