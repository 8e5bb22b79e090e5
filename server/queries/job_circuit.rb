# frozen_string_literal: true

module Server
  module Queries
    # The unit's circuit as one job sees it: by the sheet versions that it holds, and the usual ones where there are none. Where all of them
    # together are more than is worked out at once, by those on which its complaint lies, and that is said.
    class JobCircuit
      # What stands for a fitted sheet: a version with what was overridden when the job was opened.
      Held = Struct.new(:version, :overrides, keyword_init: true)

      # @param job_id [String]
      # @param system [Wattomneum::Units::ElectricalSystem]
      # @param symptom [Models::JobSymptom] of the job
      def initialize(job_id, system, symptom)
        @job_id = job_id
        @system = system
        @symptom = symptom
      end

      # @return [Wattomneum::Circuits::Machine, nil] nil where its sheets do not go together
      # @raise [Wattomneum::OverBudgetError] where even the sheets of its complaint are more than is worked out at once
      def machine = whole&.machine

      # @return [Wattomneum::Circuits::Machine]
      # @raise [Refusals::InvalidInput] where its sheets do not go together
      # @raise [Wattomneum::OverBudgetError]
      def machine!
        machine || raise(Refusals::InvalidInput.new("This unit's sheets do not go together to one circuit: its circuits say why", fields: {}))
      end

      # @return [String, nil] what is not in it, in words
      def left_out
        return if whole.nil? || judged.size == held.size

        names = judged.empty? ? 'its usual circuit' : judged.map { |one| one.version.title }.join(', ')
        "Worked out by #{names}: all #{held.size} sheets of this unit together are more than is worked out at once. " \
          'Ask the others one by one, under Circuits'
      end

      # @return [Array] what the circuit is put together from: another circuit has another
      def identity
        [Machines.identity(@system), (whole ? judged : held).map { |one| [one.version.digest, one.overrides] }]
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

      # @return [Array<SheetToRead>] sheets on which its complaint lies
      def about = held.select { |one| about?(sheet_of(one)) }.map { |one| SheetToRead.of(one) }

      # @param sheet [Wattomneum::Circuits::Sheet]
      # @return [Boolean] whether its complaint lies on it
      def about?(sheet)
        return sheet.parts.any? { |part| part.uuid == @symptom.item_uuid } if @symptom.item_uuid

        loop = Wattomneum::Faults::OrdersOfWork.fetch(@symptom.work).loop
        sheet.loops.any? { |drawn| drawn.key == loop }
      end

      # @return [Array<SheetToRead, UsualToRead>] all that its circuit is put together from
      def drawn = (whole ? judged : held).map { |one| SheetToRead.of(one) } + (whole ? whole.usual.map { |sheet| UsualToRead.new(sheet) } : [])

      # @param item_uuid [String] of a component or wire on one of its sheets
      # @return [String] of the one thing that it is on the unit's circuit
      def now(item_uuid) = whole.assembly.now(item_uuid)

      private

      attr_reader :judged

      def whole
        return @whole if defined?(@whole)

        @judged = held
        @whole = together(held)
      rescue Wattomneum::OverBudgetError
        @judged = held.select { |one| about?(sheet_of(one)) }
        raise if @judged.size == held.size

        @whole = together(@judged)
      end

      def together(sheets)
        Machines.whole(sheets, @system)
      rescue Wattomneum::SheetsDisagreeError
        nil
      end

      def sheet_of(one) = Machines.of(one.version, one.overrides).sheet

      # SQL: select * from job_sheet where job_id = ?; versions by id
      def read_held
        rows = DB[:job_sheet].where(job_id: @job_id).select_hash(:version_id, :overrides)
        versions = Models::SheetVersion.where(id: rows.keys).eager(:sheet).all.sort_by(&:title)
        versions.map { |version| Held.new(version: version, overrides: rows.fetch(version.id).to_h) }
      end
    end
  end
end
