# frozen_string_literal: true

module Server
  module Models
    # A component or wire of a draft as it was typed, right or wrong. Each row has a version: two people write in different rows at once, and in
    # the same row only one after the other.
    class SheetDraftRow < Sequel::Model(:sheet_draft_row)
      unrestrict_primary_key
      many_to_one :person, class: 'Server::Models::Account'

      class << self
        # @param draft [SheetDraft] that has no rows yet
        # @param rows [Array<Wattomneum::Circuits::Drafting::Draft::Row>]
        # @param by [Account]
        def write_all(draft, rows, by:)
          multi_insert(rows.each_with_index.map do |row, index|
            { draft_id: draft.id, item_uuid: row.uuid, kind: row.kind, place: index + 1.0, typed: Sequel.pg_jsonb(row.typed), person_id: by.id }
          end)
        end

        # @param draft [SheetDraft] held
        # @param changes [Array<Hash>] of Contracts::DraftRows
        # @param by [Account]
        # @raise [Refusals::EditConflict] with how those rows stand that somebody else changed
        def change_all(draft, changes, by:)
          found = rows_of(draft, changes.map { |change| change[:item_uuid] })
          refuse_collisions(changes, found)
          last = where(draft_id: draft.id).max(:place).to_f
          before = changes.each_with_index.map { |change, index| change(draft, found[change[:item_uuid]], change, last + index + 1, by) }
          note_step(draft, before, by_id: by.id)
        end

        # @param draft [SheetDraft] held
        # @param by [Account]
        # @return [Hash] id of the step that this person would undo, and the rows as they were before it
        # @raise [Refusals::InvalidInput] where there is nothing left to undo
        # @raise [Refusals::EditConflict] where somebody else changed the same rows since
        def to_undo(draft, by:)
          step = db[:sheet_draft_step].where(draft_id: draft.id, person_id: by.id, undone_at: nil).order(Sequel.desc(:id)).first
          raise Refusals::InvalidInput.new('There is nothing of yours left to undo', fields: {}) if step.nil?

          before = step[:before].to_a.map(&:to_h)
          found = rows_of(draft, before.map { |row| row['item_uuid'] })
          other = before.map { |row| found.fetch(row['item_uuid']) }.zip(before).find { |row, was| row.row_version != was['row_version'] + 1 }
          raise Refusals::EditConflict, "#{other.first.person.name} changed the same row since: it cannot be undone any more" if other

          { id: step[:id], before: before }
        end

        # @param draft [SheetDraft] held
        # @param step [Hash] of to_undo
        # @param by [Account]
        def undo(draft, step, by:)
          found = rows_of(draft, step[:before].map { |row| row['item_uuid'] })
          step[:before].each { |was| put_back(found.fetch(was['item_uuid']), was, by) }
          db[:sheet_draft_step].where(id: step[:id]).update(undone_at: Time.now.utc)
        end

        # Rows of a list, but for those that somebody changed since it was read.
        #
        # @param draft [SheetDraft] held
        # @param changes [Array<Hash>]
        # @param by [Account]
        # @return [Array(Array<Hash>, Integer)] the rows as they were before, and how many were left as somebody else has them
        def change_those_left(draft, changes, by:)
          found = rows_of(draft, changes.map { |change| change[:item_uuid] })
          ours, theirs = changes.partition { |change| (found[change[:item_uuid]]&.row_version || 0) == change[:row_version] }
          last = where(draft_id: draft.id).max(:place).to_f
          [ours.each_with_index.map { |change, index| change(draft, found[change[:item_uuid]], change, last + index + 1, by) }, theirs.size]
        end

        # @param draft [SheetDraft]
        # @param before [Array<Hash>] rows as they were
        # @param step_id [Integer, nil] of the step that they belong to, where it was begun
        # @return [Integer] its id
        def note_step(draft, before, by_id:, step_id: nil)
          steps = db[:sheet_draft_step]
          return steps.insert(draft_id: draft.id, person_id: by_id, before: Sequel.pg_jsonb(before)) if step_id.nil?

          steps.where(id: step_id).update(before: Sequel.pg_jsonb_op(:before).concat(Sequel.pg_jsonb(before)))
          step_id
        end

        # @param draft [SheetDraft] held
        # @param before [Array<Hash>] rows as they were
        # @param by [Account]
        # @return [Integer] how many were left as somebody has them by now
        def put_back_those_left(draft, before, by:)
          found = rows_of(draft, before.map { |row| row['item_uuid'] })
          ours, theirs = before.partition { |was| found[was['item_uuid']]&.row_version == was['row_version'] + 1 }
          ours.each { |was| put_back(found.fetch(was['item_uuid']), was, by) }
          theirs.size
        end

        # What is put back is no part of the step any more; a step without rows is undone.
        #
        # @param step_id [Integer]
        # @param uuids [Array<String>]
        # @return [void]
        def forget_in_step(step_id, uuids)
          step = db[:sheet_draft_step].where(id: step_id)
          left = step.get(:before).to_a.reject { |row| uuids.include?(row['item_uuid']) }
          step.update(before: Sequel.pg_jsonb(left), undone_at: left.empty? ? Time.now.utc : nil)
        end

        private

        def rows_of(draft, uuids) = where(draft_id: draft.id, item_uuid: uuids).eager(:person).all.to_h { |row| [row.item_uuid, row] }

        def refuse_collisions(changes, found)
          theirs = changes.filter_map do |change|
            row = found[change[:item_uuid]]
            row if (row&.row_version || 0) != change[:row_version]
          end
          return if theirs.empty?

          said = theirs.map do |row|
            { item_uuid: row.item_uuid, typed: row.typed.to_h, row_version: row.row_version, gone: row.gone, person: row.person.name }
          end
          raise Refusals::EditConflict.new('Somebody else changed the same row meanwhile: yours is kept here, look at both',
                                           details: { theirs: { rows: said } })
        end

        # @return [Hash] how it stood before
        def change(draft, row, change, place, by)
          if row.nil?
            create(draft_id: draft.id, item_uuid: change[:item_uuid], kind: change[:kind], place: place, typed: Sequel.pg_jsonb(texts(change)),
                   person_id: by.id)
            return { item_uuid: change[:item_uuid], gone: true, typed: texts(change), row_version: 0 }
          end

          { item_uuid: row.item_uuid, gone: row.gone, typed: row.typed.to_h, row_version: row.row_version }.tap do
            typed = change[:typed] ? Sequel.pg_jsonb(texts(change)) : row.typed
            row.update(typed: typed, gone: change[:typed].nil?, row_version: row.row_version + 1, person_id: by.id, changed_at: Time.now.utc)
          end
        end

        def texts(change) = change[:typed].to_h.transform_keys(&:to_s)

        def put_back(row, was, by)
          row.update(typed: Sequel.pg_jsonb(was['typed']), gone: was['gone'], row_version: row.row_version + 1, person_id: by.id,
                     changed_at: Time.now.utc)
        end
      end
    end
  end
end
