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
      # @raise [Wattomneum::RefusedError] if they do not go together
      def whole
        raise @refused if @refused

        @whole ||= Machines.whole(readable, system, crank_test: crank_test&.test)
      rescue Wattomneum::Error => e
        @refused = e # asked again for every point of a page, it is not put together again
        raise
      end

      # @return [LastCrankTest::Found, nil] the unit's own, which the whole circuit returns
      def crank_test
        @crank_test = LastCrankTest.of(@unit_id, system: system) unless defined?(@crank_test)
        @crank_test
      end

      # @return [Array<Wattomneum::Circuits::Complaints::Thing>] what of its circuit a complaint can be about
      # @raise [Wattomneum::RefusedError] if its sheets do not go together
      def complaints = Wattomneum::Circuits::Complaints.new(whole.machine).all

      # @return [Array<Wattomneum::Circuits::Questions::Conflicts::Conflict>]
      def conflicts
        @conflicts ||= Wattomneum::Circuits::Questions::Conflicts.find(readable.map { |one| machine(one).sheet }, differences: differences)
      end

      # @return [Array<Wattomneum::Circuits::Assembly::Difference>] what its sheets draw otherwise, where they are joined
      def differences
        readable.size > 1 ? whole.assembly.differences : []
      rescue Wattomneum::Error
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

      # @return [Array<String>] what stays live with the isolator open, by the sheets that can be worked out
      def live_past_isolator
        fitted.flat_map do |one|
          Machines.in_time { machine(one).live_past_isolator.map { |part| part.label == part.id ? part.id : "#{part.id} #{part.label}" } }
        rescue Wattomneum::Error
          []
        end.uniq
      end

      # @return [Wattomneum::Circuits::Machine, nil] all of it as one; where its sheets do not go together, the usual circuit of its few facts
      def drawn
        @drawn ||= Machines.in_time { whole.machine.tap { |machine| machine.settled.all } }
      rescue Wattomneum::Error
        @drawn = Wattomneum::Circuits::UsualSheets.machine(system)
      end

      # @param item_uuid [String] as it was kept
      # @param pin [String]
      # @return [String, nil] node of the unit's circuit as it is now
      def node_of(item_uuid, pin) = Machines.node_of(whole, item_uuid, pin)

      private

      def find_system
        fittings = Models::Fitting.current.where(unit_id: @unit_id).eager(:battery).all
        Models::Unit.with_pk!(@unit_id).core_system(fittings.to_h { |one| [one.position, one.battery.to_core] })
      end
    end
  end
end
