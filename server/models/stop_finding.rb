# frozen_string_literal: true

module Server
  module Models
    # Single faults with which an engine will not stop, by each way to stop it that a sheet of a unit names; worked out anew when that changes. It is
    # about the drawing: units that have the same are answered for together, and none of them is held by it.
    class StopFinding < Sequel::Model(:stop_finding)
      unrestrict_primary_key

      dataset_module do
        # What no lead has answered. A sheet that is replaced by one without stops leaves none: they are worked out anew then too.
        #
        # SQL: select * from stop_finding where findings <> 0
        #      and not exists (select 1 from stop_answer with the same sheet, device and digest)
        def unanswered
          same = %i[sheet_id device_uuid findings_digest].to_h { |name| [name, Sequel[:stop_finding][name]] }
          exclude(findings: 0).exclude(StopAnswer.where(same).select(1).exists)
        end
      end

      # @param fitted [UnitSheet]
      # @return [void]
      def self.work_out(fitted)
        machine = Queries::SheetToRead.of(fitted, fitted: fitted).machine
        rows = machine.stop_tables.map do |device, table|
          words = Wattomneum::Circuits::Questions::StopFindings.new(machine, table).words
          { unit_id: fitted.unit_id, sheet_id: fitted.sheet_id, device_uuid: device, label: table.stop.label, findings: table.will_not_stop.size,
            findings_digest: StopAnswer.digest(table), words: Sequel.pg_jsonb(words) }
        end
        db.transaction do
          # Replaced while it was worked out: what took its place has its own.
          next if UnitSheet.current.for_share.first(id: fitted.id).nil?

          where(unit_id: fitted.unit_id, sheet_id: fitted.sheet_id).delete
          dataset.multi_insert(rows)
        end
      end
    end
  end
end
