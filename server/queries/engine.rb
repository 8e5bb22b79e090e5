# frozen_string_literal: true

module Server
  module Queries
    # What is known of the engine of a unit beside its loops: kill circuits, plugs, cap, sums that are kept on it.
    class Engine
      # fitted: the sheet on the unit; stop; device: UUID; rows: entries of it; search: Wattomneum::Ignition::Kill::Search
      KillSearch = Struct.new(:fitted, :stop, :device, :rows, :search, keyword_init: true)
      # order; wasted; rows: entries of it; evidence: Wattomneum::Ignition::Plugs::Evidence
      Plugs = Struct.new(:order, :wasted, :rows, :evidence, keyword_init: true) do
        # @param id [String]
        # @return [Boolean]
        def change?(id) = rows.any? { |one| one.id == id && one.kind == 'change' }
      end

      # @return [Models::Unit]
      attr_reader :unit

      # @param unit [Models::Unit]
      def initialize(unit)
        @unit = unit
      end

      # @return [Wattomneum::Limits::Table]
      def limits = @limits ||= FleetRules.new.limits

      # @return [Array<KillSearch>] one for each stop of its sheets that names a stud
      def kill_searches
        @kill_searches ||= sheets.flat_map do |read|
          read.sheet.stops.select(&:stud).map { |stop| kill(read, stop) }
        end
      end

      # @param fitted_id [String]
      # @param device [String] UUID
      # @return [Wattomneum::Ignition::Kill::Search]
      # @raise [Refusals::NotFound]
      def kill_search(fitted_id, device)
        found = kill_searches.find { |one| one.fitted.id == fitted_id && one.device == device }
        found&.search || raise(Refusals::NotFound, 'This unit has no such kill circuit')
      end

      # @return [Plugs, nil] nil where nobody said its firing order
      def plugs
        return @plugs if defined?(@plugs)

        rows = entries(craft: 'plugs')
        begun = rows.find { |one| one.kind == 'begun' }
        @plugs = begun && plugs_of(begun, rows - [begun])
      end

      # @return [Models::EngineEntry, nil] as its cap was wired last
      def cap = @cap ||= standing(craft: 'cap').order(Sequel.desc(:at)).first

      MOST_SUMS = 50
      private_constant :MOST_SUMS

      # @return [Array<Models::EngineEntry>] sums that are kept on it, the last first
      def sums = @sums ||= standing(craft: 'sum').order(Sequel.desc(:at)).limit(MOST_SUMS).all

      # @return [Hash{Integer => String}] of those who said any of it
      def names
        @names ||= Models::Account.where(id: Models::EngineEntry.where(unit_id: unit.id).select(:person_id)).select_hash(:id, :name)
      end

      # @param input [Hash] of Contracts::NewEngineEntry
      # @return [Hash] columns that say what it is about
      # @raise [Refusals::NotFound]
      def about(input)
        return { craft: input[:craft] } unless input[:craft] == 'kill'

        found = kill_searches.find { |one| one.fitted.id == input[:sheet] } || raise(Refusals::NotFound, 'This unit has no such kill circuit')
        { craft: 'kill', sheet_id: found.fitted.sheet_id, device_uuid: input[:device] }
      end

      # @return [Array<String>] what keeps a job on it from being closed
      def missing_to_close
        return [] if standing(craft: 'kill').empty?

        begun = kill_searches.reject { |one| one.rows.empty? || one.search.proved? }
        begun.map { |one| missing_of(one.search) }
      end

      private

      def standing(**about) = Models::EngineEntry.standing.where(unit_id: unit.id, **about)
      def entries(**about) = Models::EngineEntry.since_begun(unit_id: unit.id, **about).all

      def sheets
        Models::UnitSheet.current.where(unit_id: unit.id).eager(:unit, version: :sheet).order(:id).all
                         .select { |fitted| fitted.version.names_stops? }.map { |fitted| SheetToRead.of(fitted, fitted: fitted) }
      end

      def kill(read, stop)
        device = read.sheet.part(stop.device).uuid
        rows = entries(craft: 'kill', sheet_id: read.fitted.sheet_id, device_uuid: device)
        search = Wattomneum::Ignition::Kill::Search.new(
          Wattomneum::Ignition::Kill::Branches.new(read.sheet, stop), asked: read.machine.stop_tables.fetch(device).asked,
          trials: trials(read, device), entries: rows.reject { |row| row.kind == 'begun' }.map(&:to_kill), limits: limits
        )
        KillSearch.new(fitted: read.fitted, stop: stop, device: device, rows: rows, search: search)
      end

      def trials(read, device)
        Stops.new(read).trials.select { |(of, _), _| of == device }.to_h { |(_, asked), row| [asked, [row.outcome, row.at]] }
      end

      def plugs_of(begun, rows)
        order = Wattomneum::Ignition::FiringOrder.read(begun.plain[:order])
        wasted = begun.plain[:wasted] || false
        places = rows.each_with_index.to_h { |row, at| [row.id, at] }
        evidence = Wattomneum::Ignition::Plugs::Evidence.new(order, rows.map { |row| row.to_plugs(places) }, wasted: wasted, limits: limits)
        Plugs.new(order: order, wasted: wasted, rows: rows, evidence: evidence)
      end

      def missing_of(search)
        open = search.interlocks.reject { |one| one.state == 'proved' }
        return "The kill circuit is not searched to its end: #{Wattomneum::Wording.inside(search.next_step.words)}" unless search.together?

        "Not seen to stop it: #{open.map(&:label).join(', ')}"
      end
    end
  end
end
