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

        private

        # Another version of the same sheet takes over what was overridden on items that are still there.
        def replace(unit, version, before, at)
          before&.update(during: range(before.during.begin, [at, before.during.begin + 0.001].max))
          start = before ? before.during.end : at
          kept = before ? before.overrides.to_h.slice(*version_items(version)) : {}
          create(unit_id: unit.id, sheet_id: version.sheet_id, version_id: version.id, overrides: Sequel.pg_jsonb(kept),
                 during: range(start, nil))
        end

        def range(from, to) = Sequel::Postgres::PGRange.new(from, to, exclude_end: true, db_type: 'tstzrange')
        def version_items(version) = db[:sheet_item].where(version_id: version.id).distinct.select_map(Sequel.cast(:item_uuid, :text))
      end

      # @param input [Hash] of Contracts::SheetOverrides
      # @return [UnitSheet]
      # @raise [Wattomneum::Error] if the sheet has no such item or field
      def override(input)
        unless input[:lock_version] == lock_version
          raise Refusals::EditConflict.new('Somebody else changed this sheet meanwhile. Look at it and save again',
                                           details: { theirs: { overrides: overrides.to_h, lock_version: lock_version } })
        end

        changed = overrides.to_h.merge(input[:overrides].transform_keys(&:to_s)) { |_, old, new| old.merge(new) }
        sheet = version.to_core
        Wattomneum::Circuits::Notation::OverrideCheck.call(sheet, changed)
        Queries::Machines.within_budget { sheet.with_overrides(changed).circuit }
        update(overrides: Sequel.pg_jsonb(changed))
        self
      end
    end
  end
end
