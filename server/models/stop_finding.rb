# frozen_string_literal: true

module Server
  module Models
    # How many single faults there are with which a unit will not stop, by each of its ways; worked out anew when its sheets change.
    class StopFinding < Sequel::Model(:stop_finding)
      unrestrict_primary_key
      many_to_one :unit, class: 'Server::Models::Unit'

      dataset_module do
        # What no lead has answered, of units that have the sheet.
        #
        # SQL: select * from stop_finding where findings > 0 and exists (the unit has the sheet now)
        #      and not exists (select 1 from stop_answer with the same unit, sheet, device and digest)
        def unanswered
          here = Sequel[:stop_finding]
          same = { unit_id: here[:unit_id], sheet_id: here[:sheet_id] }
          has = UnitSheet.current.where(same).select(1)
          answered = StopAnswer.where(**same, device_uuid: here[:device_uuid], findings_digest: here[:findings_digest]).select(1)
          exclude(findings: 0).where(has.exists).exclude(answered.exists)
        end
      end

      # @param fitted [UnitSheet]
      # @return [void]
      def self.work_out(fitted)
        rows = Queries::SheetToRead.of(fitted, fitted: fitted).machine.stop_tables.map do |device, table|
          { unit_id: fitted.unit_id, sheet_id: fitted.sheet_id, device_uuid: device, label: table.stop.label, findings: table.will_not_stop.size,
            findings_digest: StopAnswer.digest(table) }
        end
        db.transaction do
          where(unit_id: fitted.unit_id, sheet_id: fitted.sheet_id).delete
          dataset.multi_insert(rows)
        end
      end

      # @param unit_id [String]
      # @return [Array<Hash>] id of the fitted sheet, label and findings of what nobody answered
      def self.open_on(unit_id)
        fitted = UnitSheet.current.where(unit_id: unit_id).select_hash(:sheet_id, :id)
        unanswered.where(unit_id: unit_id).order(:label).map { |row| { sheet: fitted.fetch(row.sheet_id), label: row.label, findings: row.findings } }
      end
    end
  end
end
