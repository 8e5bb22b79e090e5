# frozen_string_literal: true

module Server
  module Queries
    # What the sheets that units in service have say of engines that will not stop, and no lead has answered: a row a sheet and its faults, however
    # many units have it.
    class UnansweredStops
      MOST = 40
      # fitted_id: of the first unit that has it, where it is answered; title: of the sheet; label: of the way to stop; words: sentences; units:
      # how many have it
      Row = Struct.new(:fitted_id, :title, :label, :words, :units, keyword_init: true)

      # SQL: with same as (select count(*) as units, (array_agg(unit_sheet.id order by unit.number))[1] as fitted_id, device_uuid
      #      from stop_finding <unanswered> join unit_sheet on upper_inf(during), unit on retired_at is null
      #      group by sheet_id, device_uuid, findings_digest)
      #      select fitted_id, units, title, label, words from same join stop_finding, unit_sheet, sheet_version order by title, label limit 40
      #
      # @return [Array<Row>] by title of the sheet
      def rows
        fitted = %i[unit_id sheet_id].to_h { |name| [name, Sequel[:unit_sheet][name]] }
        DB.from(same.as(:same)).join(:unit_sheet, id: Sequel[:same][:fitted_id]).join(:sheet_version, id: Sequel[:unit_sheet][:version_id])
          .join(:stop_finding, **fitted, device_uuid: Sequel[:same][:device_uuid]).order(:title, :label).limit(MOST)
          .select(:fitted_id, :title, Sequel[:stop_finding][:label], Sequel[:stop_finding][:words], :units).all
          .map { |row| Row.new(**row, words: row[:words].to_a) }
      end

      private

      # One of each sheet, way to stop and findings: the sentences are looked up of that one only.
      def same
        found.group(*%i[sheet_id device_uuid findings_digest].map { |name| Sequel[:stop_finding][name] })
             .select do |o|
               first = Sequel.function(:array_agg, o.unit_sheet[:id]).order(o.unit[:number])
               [o.count.function.*.as(:units), Sequel.pg_array_op(first)[1].as(:fitted_id), o.stop_finding[:device_uuid]]
             end
      end

      def found
        Models::StopFinding.unanswered.naked
                           .join(:unit_sheet, { unit_id: Sequel[:stop_finding][:unit_id], sheet_id: Sequel[:stop_finding][:sheet_id] })
                           .where(Sequel.function(:upper_inf, Sequel[:unit_sheet][:during]))
                           .join(:unit, id: Sequel[:stop_finding][:unit_id]).where(Sequel[:unit][:retired_at] => nil)
      end
    end
  end
end
