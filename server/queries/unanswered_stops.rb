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

      # SQL: select distinct on (sheet_id, device_uuid, findings_digest) unit_sheet.id, title, label, words, count(*) over (partition by those)
      #      from stop_finding <unanswered> join unit_sheet on upper_inf(during), unit on retired_at is null, sheet_version
      #      order by those, unit.number limit 40
      #
      # @return [Array<Row>] by title of the sheet
      def rows
        same = %i[sheet_id device_uuid findings_digest].map { |name| Sequel[:stop_finding][name] }
        about = found.distinct(*same).order(*same, Sequel[:unit][:number]).limit(MOST).select do |o|
          [o.unit_sheet[:id].as(:fitted_id), o.sheet_version[:title], o.stop_finding[:label], o.stop_finding[:words],
           o.count.function.*.over(partition: same).as(:units)]
        end
        about.all.map { |row| Row.new(**row.slice(*Row.members), words: row[:words].to_a) }.sort_by { |row| [row.title, row.label] }
      end

      private

      def found
        Models::StopFinding.unanswered.naked
                           .join(:unit_sheet, { unit_id: Sequel[:stop_finding][:unit_id], sheet_id: Sequel[:stop_finding][:sheet_id] })
                           .where(Sequel.function(:upper_inf, Sequel[:unit_sheet][:during]))
                           .join(:unit, id: Sequel[:stop_finding][:unit_id]).where(Sequel[:unit][:retired_at] => nil)
                           .join(:sheet_version, id: Sequel[:unit_sheet][:version_id])
      end
    end
  end
end
