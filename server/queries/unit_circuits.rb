# frozen_string_literal: true

module Server
  module Queries
    # The circuit sheets of a unit with its overrides and rulings, and what conflicts in them.
    class UnitCircuits
      # @param unit_id [String]
      def initialize(unit_id)
        @unit_id = unit_id
      end

      # @return [String] of the unit's yard
      def time_zone = Models::Yard.where(id: Models::Unit.where(id: @unit_id).select(:yard_id)).get(:time_zone)

      # @return [Array<Models::UnitSheet>] fitted now, with version
      def fitted
        @fitted ||= Models::UnitSheet.current.where(unit_id: @unit_id).eager(version: :sheet).all.sort_by { |one| one.version.title }
      end

      # @return [Hash{String => Models::Ruling}] in force, by conflict key
      def rulings = @rulings ||= Models::Ruling.in_force(@unit_id).all.to_h { |ruling| [ruling.conflict_key, ruling] }

      # @return [Hash{Integer => String}] names of those who ruled
      def names = @names ||= Models::Account.where(id: rulings.values.map(&:person_id)).select_hash(:id, :name)

      # @param one [Models::UnitSheet]
      # @return [Wattomneum::Circuits::Machine]
      def machine(one) = Machines.of(one.version, one.overrides.to_h)

      # @return [Machines::Whole] all its sheets as one circuit
      # @raise [Wattomneum::SheetsDisagreeError] if they do not go together
      # @raise [Wattomneum::OverBudgetError] if they are more than is worked out at once
      def whole
        raise @refused if @refused

        @whole ||= together(readable)
      rescue Wattomneum::SheetsDisagreeError, Wattomneum::OverBudgetError => e
        @refused = e # asked again for every point of a page, it is not put together again
        raise
      end

      # @return [LastCrankTest::Found, nil] the unit's own, which the whole circuit returns
      def crank_test
        @crank_test = LastCrankTest.of(@unit_id, system: system) unless defined?(@crank_test)
        @crank_test
      end

      # @return [Array<Wattomneum::Circuits::Complaints::Thing>] what of its circuit a complaint can be about; asked sheet by sheet where all of
      #   them are more than is worked out at once
      # @raise [Wattomneum::SheetsDisagreeError] if its sheets do not go together
      def complaints
        Wattomneum::Circuits::Complaints.new(whole.machine).all
      rescue Wattomneum::OverBudgetError
        readable.flat_map { |one| Wattomneum::Circuits::Complaints.new(machine(one)).all }
      end

      # @return [Array<Wattomneum::Circuits::Questions::Conflicts::Conflict>]
      def conflicts
        @conflicts ||= Wattomneum::Circuits::Questions::Conflicts.find(readable.map { |one| machine(one).sheet }, differences: differences)
      end

      # @return [Array<Wattomneum::Circuits::Assembly::Difference>] what its sheets draw otherwise, where they are joined
      def differences
        readable.size > 1 ? whole.assembly.differences : []
      rescue Wattomneum::SheetsDisagreeError, Wattomneum::OverBudgetError
        [] # asked for the whole unit, it says why
      end

      # @return [Wattomneum::Units::ElectricalSystem] with the batteries that are fitted now
      def system = @system ||= find_system

      # @return [Array<Models::UnitSheet>] without those that were kept under older rules and are no sheets by those of now
      def readable
        @readable ||= fitted.select do |one|
          machine(one)
        rescue Wattomneum::RefusedError
          nil
        end
      end

      # @return [Array<String>] what stays live with the isolator open; of a sheet that is too large for it, that this is not known
      def live_past_isolator
        fitted.flat_map do |one|
          Machines.within_steps(Machines.most_steps) { machine(one).live_past_isolator.map { |part| short(part) } }
        rescue Wattomneum::OverBudgetError
          ["whatever is on #{one.version.title}: it is too large to be worked out, so test it dead"]
        rescue Wattomneum::RefusedError
          [] # no sheet by the rules of now
        end.uniq
      end

      # @return [Wattomneum::Circuits::Machine, nil] all of it as one; where that is more than is worked out at once, its start and charge
      #   circuits; where its sheets do not go together, the usual circuit of its few facts
      def drawn = (drawn_whole ? drawn_whole.machine : Wattomneum::Circuits::UsualSheets.machine(system))

      # @param item_uuid [String] as it was kept
      # @param pin [String]
      # @return [String, nil] node of the circuit that is drawn
      def node_of(item_uuid, pin) = drawn_whole && Machines.node_of(drawn_whole, item_uuid, pin)

      private

      def together(sheets) = Machines.whole(sheets, system, crank_test: crank_test&.test)
      def short(part) = part.label == part.id ? part.id : "#{part.id} #{part.label}"

      def drawn_whole
        return @drawn_whole if defined?(@drawn_whole)

        @drawn_whole = drawn_as_one
      end

      def drawn_as_one
        whole
      rescue Wattomneum::SheetsDisagreeError
        nil
      rescue Wattomneum::OverBudgetError
        loops_alone
      end

      def loops_alone
        together(readable.select { |one| machine(one).sheet.loops.any? })
      rescue Wattomneum::SheetsDisagreeError, Wattomneum::OverBudgetError
        nil
      end

      def find_system
        fittings = Models::Fitting.current.where(unit_id: @unit_id).eager(:battery).all
        Models::Unit.with_pk!(@unit_id).core_system(fittings.to_h { |one| [one.position, one.battery.to_core] })
      end
    end
  end
end
