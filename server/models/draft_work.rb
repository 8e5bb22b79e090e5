# frozen_string_literal: true

module Server
  module Models
    # Long work on a draft: a list that is taken, or a step with many rows that is undone. It goes on in lots, each a transaction of its own in which
    # the draft is held for less than a second; between two of them others write, and it may be cancelled. What was done till then stands, and can
    # be undone.
    class DraftWork < Sequel::Model(:draft_work)
      LOT = 100
      # Fewer rows are written while whoever asks waits for it.
      AT_ONCE = 200

      dataset_module do
        def going_on = where(ended_at: nil)
      end

      class << self
        # @param draft [SheetDraft] held
        # @param kind [String] list or undo
        # @param rows [Array<Hash>] of a list: rows as Contracts::DraftRows has them; to be undone: rows as they were
        # @param by [Account]
        # @param step_id [Integer, nil] that is undone
        # @return [DraftWork]
        # @raise [Refusals::InvalidInput] where something is being done already
        def order(draft, kind, rows, by:, step_id: nil)
          if going_on.where(draft_id: draft.id).any?
            raise Refusals::InvalidInput.new('A list is being taken or undone here already: wait for it, or cancel it', fields: {})
          end

          create(draft_id: draft.id, kind: kind, rows: Sequel.pg_jsonb(rows), total: rows.size, person_id: by.id, step_id: step_id)
            .tap { |work| Workers::WorkOnDraft.enqueue(work.id) }
        end

        # SQL: select * from draft_work where draft_id = ? order by asked_at desc limit 1
        #
        # @param draft_id [String]
        # @return [DraftWork, nil] what goes on, or what was done last
        def last_of(draft_id) = where(draft_id: draft_id).order(Sequel.desc(:asked_at)).first
      end

      # @return [void]
      def cancel = self.class.going_on.where(id: id).update(cancelled_at: Time.now.utc)

      # @return [void]
      def finish
        nil while lot
      end

      # The next rows, with the draft held.
      #
      # @return [Boolean] whether there are more
      def lot
        db.transaction do
          draft = SheetDraft.for_update.with_pk!(draft_id)
          refresh
          next false if ended_at

          if cancelled_at || draft.ended_at
            over
            next false
          end

          now = rows.to_a.slice(done, LOT).map(&:to_h)
          kind == 'list' ? take(draft, now) : undo(draft, now)
          update(done: done + now.size)
          over if done >= total
          done < total
        end
      end

      private

      def over = update(ended_at: Time.now.utc, rows: Sequel.pg_jsonb([]))

      # Rows that somebody typed in meanwhile stay theirs, and are counted.
      def take(draft, now)
        changes = now.map { |row| { item_uuid: row['item_uuid'], kind: row['kind'], typed: row['typed'], row_version: row['row_version'] } }
        before, theirs = SheetDraftRow.change_those_left(draft, changes, by: Account.with_pk!(person_id))
        self.step_id = SheetDraftRow.note_step(draft, before, by_id: person_id, step_id: step_id)
        self.left += theirs
      end

      def undo(draft, now)
        self.left += SheetDraftRow.put_back_those_left(draft, now, by: Account.with_pk!(person_id))
        SheetDraftRow.forget_in_step(step_id, now.map { |row| row['item_uuid'] })
      end
    end
  end
end
