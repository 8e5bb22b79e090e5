# frozen_string_literal: true

module Server
  module Models
    # A sheet version on a unit, with what differs on that unit.
    class UnitSheet < Sequel::Model(:unit_sheet)
      plugin :optimistic_locking
      many_to_one :version, class: 'Server::Models::SheetVersion'
      many_to_one :unit, class: 'Server::Models::Unit'

      dataset_module do
        def current = where(Sequel.function(:upper_inf, :during))
      end

      class << self
        # @param unit [Unit]
        # @param version [SheetVersion]
        # @param at [Time]
        # @return [UnitSheet]
        # @raise [Refusals::InvalidInput] if the voltages differ
        def fit(unit, version, at:)
          unless unit.system_volt == version.system_volt
            raise Refusals::InvalidInput.new("This sheet is drawn for #{version.system_volt} V, the unit has #{unit.system_volt} V",
                                             fields: { 'version_id' => ['other voltage'] })
          end

          before = current.first(unit_id: unit.id, sheet_id: version.sheet_id)
          return before if before&.version_id == version.id

          replace(unit, version, before, at)
        end

        # Sheets that units have had since before their stops were looked through.
        #
        # SQL: select * from unit_sheet where upper_inf(during) and version_id in (those with stops) and not exists (a finding of it)
        #
        # @return [void]
        def find_missing_stops
          with_stops = SheetVersion.where(Sequel.like(:content, "%\nstops:%")).select(:id)
          known = StopFinding.where(unit_id: Sequel[:unit_sheet][:unit_id], sheet_id: Sequel[:unit_sheet][:sheet_id]).select(1)
          current.where(version_id: with_stops).exclude(known.exists).eager(:version).all.each(&:find_stops)
        end

        private

        # Another version of the same sheet takes over what was overridden on items that are still there.
        def replace(unit, version, before, at)
          before&.update(during: range(before.during.begin, [at, before.during.begin + 0.001].max))
          start = before ? before.during.end : at
          kept = before ? before.overrides.to_h.slice(*version_items(version)) : {}
          create(unit_id: unit.id, sheet_id: version.sheet_id, version_id: version.id, overrides: Sequel.pg_jsonb(kept),
                 during: range(start, nil)).tap { |fitted| fitted.find_stops(before&.version) }
        end

        def range(from, to) = Sequel::Postgres::PGRange.new(from, to, exclude_end: true, db_type: 'tstzrange')
        def version_items(version) = db[:sheet_item].where(version_id: version.id).distinct.select_map(Sequel.cast(:item_uuid, :text))
      end

      # One fact as somebody saw it on the machine.
      #
      # @param input [Hash] of Contracts::NewOwnFact
      # @param by [Account]
      # @return [UnitSheet]
      # @raise [Refusals::EditConflict] if somebody else said otherwise meanwhile, or the unit has another version by now
      # @raise [Wattomneum::Error] if there is no such item or fact, or it cannot be so
      def differ(input, by:)
        current!
        own = Wattomneum::Circuits::OwnFacts.new(drawn, overrides.to_h)
        now = own.fact(*input.values_at(:item, :field)).says
        unless now == input[:was]
          raise Refusals::EditConflict.new("Somebody else changed this meanwhile: it is #{now || 'not said'} now. Look at it and save again",
                                           details: { theirs: { says: now } })
        end

        keep(own.change(*input.values_at(:item, :field, :says)), why: input[:why], by: by)
      end

      # What a ruling says is true.
      #
      # @param changes [Hash{String => Hash}] by item UUID
      # @param why [String]
      # @param by [Account]
      # @return [UnitSheet]
      # @raise [Wattomneum::Error] if the sheet has no such item or field
      def override(changes, why:, by:)
        changed = overrides.to_h.merge(changes) { |_, old, new| old.merge(new) }
        Wattomneum::Circuits::Notation::OverrideCheck.call(drawn, changed)
        keep(changed, why: why, by: by)
      end

      # With which faults the unit will not stop is worked out behind the scenes.
      #
      # @param before [SheetVersion, nil] that it had, whose stops may be gone
      # @return [void]
      def find_stops(before = nil) = (Workers::FindStops.enqueue(id) if [version, before].compact.any?(&:names_stops?))

      private

      # Its version, without what is otherwise.
      def drawn = Queries::Machines.of(version).sheet

      def current!
        return if during.end.nil?

        raise Refusals::EditConflict, 'This unit has another version of this sheet by now: open it from the unit, and say it there'
      end

      def keep(changed, why:, by:)
        Queries::Machines.asked_by(by) { SheetVersion.workable!(drawn.with_overrides(changed)) }
        tell(changed, why, by)
        update(overrides: Sequel.pg_jsonb(changed))
        find_stops
        self
      end

      # Every fact that reads otherwise from now on, be it one that gave way.
      def tell(changed, why, by)
        before, after = [overrides.to_h, changed].map { |own| Wattomneum::Circuits::OwnFacts.new(drawn, own) }
        (overrides.to_h.keys | changed.keys).each do |uuid|
          before.of(uuid).zip(after.of(uuid)).reject { |was, now| was.says == now.says }.each do |was, now|
            OwnFact.create(unit_id: unit_id, sheet_id: sheet_id, item_uuid: uuid, item: after.name_of(uuid), field: now.field,
                           was: was.says, says: now.says, why: why, person_id: by.id)
          end
        end
      end
    end
  end
end
