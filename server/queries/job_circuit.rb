# frozen_string_literal: true

module Server
  module Queries
    # The unit's circuit as one job sees it: by the sheet versions that it holds, and the usual ones where there are none.
    class JobCircuit
      # What stands for a fitted sheet: a version with what was overridden when the job was opened.
      Held = Struct.new(:version, :overrides, keyword_init: true)

      # @param job_id [String]
      # @param system [Wattomneum::Units::ElectricalSystem]
      def initialize(job_id, system)
        @job_id = job_id
        @system = system
      end

      # @return [Wattomneum::Circuits::Machine, nil] nil where its sheets do not go together, or are more than can be worked out in time
      def machine = whole&.machine

      # @return [Wattomneum::Circuits::Machine]
      # @raise [Refusals::InvalidInput] where its sheets do not go together
      def machine!
        machine || raise(Refusals::InvalidInput.new("This unit's sheets do not go together to one circuit: its circuits say why", fields: {}))
      end

      # @return [Array] what the circuit is put together from: another circuit has another
      def identity
        [Machines.identity(@system), held.map { |one| [one.version.digest, one.overrides] }]
      end

      # @param item_uuid [String] as it was kept
      # @return [String, nil] id of the component
      def part_id(item_uuid)
        return if machine.nil?

        now = whole.assembly.now(item_uuid)
        machine.sheet.parts.find { |part| part.uuid == now }&.id
      end

      # @param item_uuid [String] as it was kept
      # @return [String, nil] id of what was unplugged or taken off: of a component, or of a wire
      def apart_id(item_uuid) = machine && machine.apart.kept(whole.assembly.now(item_uuid))&.id

      # @param item_uuid [String] as it was kept
      # @param pin [String]
      # @return [String, nil] node
      def node_of(item_uuid, pin) = Machines.node_of(whole, item_uuid, pin)

      # @return [Array<Held>] what it holds of the unit's sheets
      def held = @held ||= read_held

      # @param symptom [Models::JobSymptom]
      # @return [Array<SheetToRead>] sheets on which its complaint lies
      def about(symptom) = held.map { |one| SheetToRead.of(one) }.select { |one| about?(one.sheet, symptom) }

      # @param sheet [Wattomneum::Circuits::Sheet]
      # @param symptom [Models::JobSymptom]
      # @return [Boolean] whether its complaint lies on it
      def about?(sheet, symptom)
        return sheet.parts.any? { |part| part.uuid == symptom.item_uuid } if symptom.item_uuid

        loop = Wattomneum::Faults::OrdersOfWork.fetch(symptom.work).loop
        sheet.loops.any? { |drawn| drawn.key == loop }
      end

      # @return [Array<SheetToRead, UsualToRead>] all that its circuit is put together from
      def drawn = held.map { |one| SheetToRead.of(one) } + (whole ? whole.usual.map { |sheet| UsualToRead.new(sheet) } : [])

      # @param item_uuid [String] of a component or wire on one of its sheets
      # @return [String] of the one thing that it is on the unit's circuit
      def now(item_uuid) = whole.assembly.now(item_uuid)

      private

      def whole
        return @whole if defined?(@whole)

        @whole = begin
          Machines.in_time { Machines.whole(held, @system).tap { |one| one.machine.settled.all } }
        rescue Wattomneum::Error
          nil
        end
      end

      # SQL: select * from job_sheet where job_id = ?; versions by id
      def read_held
        rows = DB[:job_sheet].where(job_id: @job_id).select_hash(:version_id, :overrides)
        versions = Models::SheetVersion.where(id: rows.keys).eager(:sheet).all.sort_by(&:title)
        versions.map { |version| Held.new(version: version, overrides: rows.fetch(version.id).to_h) }
      end
    end
  end
end
