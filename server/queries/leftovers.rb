# frozen_string_literal: true

module Server
  module Queries
    # What was kept for a while and is needed no longer. Evidence is never among it.
    class Leftovers
      # A device that nobody signs in at any more is a stranger's again.
      DEVICE_DAYS = 400
      private_constant :DEVICE_DAYS

      # @param now [Time]
      def initialize(now:)
        @now = now
      end

      # @return [Hash{Symbol => Integer}] rows thrown out, by table
      def throw_out
        days = @now - (Bounds[:leftovers_days] * 86_400)
        { request: Models::Request.where { at < days }.delete, session: old_sessions(days).delete,
          sign_in_try: Models::SignInTry.where(Sequel[:wrong_at] < @now - (Bounds[:sign_in_memory_hours] * 3600)).delete,
          known_device: Models::KnownDevice.where { seen_at < days - (DEVICE_DAYS * 86_400) }.delete,
          cause_table: Models::CauseTable.where { asked_at < days }.delete,
          prediction_table: Models::PredictionTable.where { asked_at < days }.delete,
          sheet_drawing: Models::SheetDrawing.of_no_version.where { asked_at < days }.delete, sheet_draft: old_drafts(days) }
      end

      private

      # Published or dropped long ago: what came of it is a version.
      def old_drafts(days)
        ids = Models::SheetDraft.where { ended_at < days }.select_map(:id)
        [Models::SheetDraftRow, DB[:sheet_draft_step]].each { |rows| rows.where(draft_id: ids).delete }
        Models::SheetDraft.where(id: ids).delete
      end

      # Ended long ago, or run out long ago without anybody ending it.
      def old_sessions(days)
        Models::Session.where(Sequel.|(Sequel[:ended_at] < days, Sequel[:begun_at] < days - (Bounds[:session_age_hours] * 3600)))
      end
    end
  end
end
