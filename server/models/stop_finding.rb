# frozen_string_literal: true

module Server
  module Models
    # How many single faults there are with which a unit will not stop, by each of its ways; worked out anew when its sheets change.
    class StopFinding < Sequel::Model(:stop_finding)
      unrestrict_primary_key
      many_to_one :unit, class: 'Server::Models::Unit'

      dataset_module do
        # What no lead has answered. A sheet that is replaced by one without stops leaves none: they are worked out anew then too.
        #
        # SQL: select * from stop_finding where findings <> 0
        #      and not exists (select 1 from stop_answer with the same unit, sheet, device and digest)
        def unanswered
          same = %i[unit_id sheet_id device_uuid findings_digest].to_h { |name| [name, Sequel[:stop_finding][name]] }
          exclude(findings: 0).exclude(StopAnswer.where(same).select(1).exists)
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
          # Replaced while it was worked out: what took its place has its own.
          next if UnitSheet.current.for_share.first(id: fitted.id).nil?

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
