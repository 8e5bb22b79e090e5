# frozen_string_literal: true

module Server
  module Models
    # A sheet while it is written, from nothing, from a version of it, or from another sheet for another make. What is in use stays as it is until
    # the draft is published as a version of its own.
    class SheetDraft < Sequel::Model(:sheet_draft)
      unrestrict_primary_key
      many_to_one :base_version, class: 'Server::Models::SheetVersion'
      many_to_one :person, class: 'Server::Models::Account'
      one_to_many :rows, class: 'Server::Models::SheetDraftRow', key: :draft_id, order: %i[kind place item_uuid]
      Drafting = Wattomneum::Circuits::Drafting
      # As many rows as a sheet may have.
      MOST_ROWS = 4_000
      private_constant :MOST_ROWS

      dataset_module do
        def unended = where(ended_at: nil)
      end

      class << self
        # @param input [Hash] of Contracts::NewDraft
        # @param by [Account]
        # @return [SheetDraft]
        # @raise [Refusals::NotFound, Refusals::InvalidInput]
        def begin(input, by:)
          base = input[:version_id] && (SheetVersion.where(id: input[:version_id]).eager(:sheet).first || raise(Refusals::NotFound, 'No such sheet'))
          core = base ? Drafting::Draft.of(base.to_core) : Drafting::Draft.new({}, [])
          draft = create(id: input[:id], base_version_id: input[:key] ? nil : base&.id, head: Sequel.pg_jsonb(head_of(core, input)), person_id: by.id)
          # A sheet for another make is another one: its items are its own.
          renewed = input[:key] ? core.rows.to_h { |row| [row.uuid, SecureRandom.uuid] } : {}
          SheetDraftRow.write_all(draft, core.rows.map { |row| row.dup.tap { |copy| copy.uuid = renewed.fetch(row.uuid, row.uuid) } }, by: by)
          draft
        end

        private

        def head_of(core, input)
          given = { 'sheet' => input[:key], 'title' => input[:title], 'system_volt' => input[:system_volt] }.compact
          head = core.head.merge(given)
          missing = %w[sheet title system_volt] - head.keys
          return head if missing.empty?

          raise Refusals::InvalidInput.new('A new sheet needs a key, a title and its volts', fields: missing.to_h { |name|
            [name == 'sheet' ? 'key' : name, ['is missing']]
          })
        end
      end

      # @return [Drafting::Draft]
      def to_core
        Drafting::Draft.new(head.to_h, standing.map { |row| Drafting::Draft::Row.new(uuid: row.item_uuid, kind: row.kind, typed: row.typed.to_h) })
      end

      # @return [Array<SheetDraftRow>]
      def standing = rows.reject(&:gone)

      # Rows as somebody typed them, all of them or none.
      #
      # @param changes [Array<Hash>] of Contracts::DraftRows
      # @param by [Account]
      # @raise [Refusals::EditConflict] where somebody else changed one of them meanwhile
      def write(changes, by:)
        check_open
        check_room(rows.size + changes.size)
        SheetDraftRow.change_all(self, changes, by: by)
        associations.delete(:rows)
      end

      # @param input [Hash] of Contracts::DraftHead
      # @raise [Refusals::EditConflict]
      def write_head(input)
        check_open
        if input[:head_version] != head_version
          raise Refusals::EditConflict.new('Somebody else changed the head of this sheet meanwhile',
                                           details: { theirs: { head: head.to_h, head_version: head_version } })
        end

        given = input.except(:head_version, :more).transform_keys { |name| name == :key ? 'sheet' : name.to_s }
        changed = head.to_h.merge(given)
        changed = changed.except(*Drafting::Draft::MORE).merge(more_of(input[:more].to_s)) if input.key?(:more)
        update(head: Sequel.pg_jsonb(changed.reject { |_, value| value.nil? || value == '' }), head_version: head_version + 1)
      end

      # Wires as another hand or program listed them.
      #
      # @param input [Hash] of Contracts::ListToTake
      # @param by [Account]
      # @raise [Wattomneum::InvalidQuantityError] for what is no list, or a column that is none of it
      # @raise [Refusals::InvalidInput] where all of it stands here already
      def take_list(input, by:)
        list = Drafting::ForeignList.new(input[:csv])
        check_room(list.size)
        wires = list.typed(input[:columns].transform_keys(&:to_s), length_unit: input[:length_unit])
        taken = Drafting::ListTaken.of(to_core.rows, wires, components: input[:components]) { SecureRandom.uuid }
        raise Refusals::InvalidInput.new('All that this list says stands here already', fields: {}) if taken.empty?

        versions = standing.to_h { |row| [row.item_uuid, row.row_version] }
        rows = taken.map { |row| { item_uuid: row.uuid, kind: row.kind, typed: row.typed, row_version: versions.fetch(row.uuid, 0) } }
        return write(rows, by: by) if rows.size <= DraftWork::AT_ONCE

        check_open
        check_room(self.rows.size + rows.size)
        DraftWork.order(self, 'list', rows, by: by)
      end

      # @param uuids [Array<String>] of components
      # @param by [Account]
      # @raise [Refusals::InvalidInput] where none of them stands here
      def copy_block(uuids, by:)
        made = Drafting::BlockCopy.of(to_core.rows, uuids) { SecureRandom.uuid }
        raise Refusals::InvalidInput.new('None of these components stands in this draft', fields: { 'components' => ['choose some'] }) if made.empty?

        write(made.map { |row| { item_uuid: row.uuid, kind: row.kind, typed: row.typed, row_version: 0 } }, by: by)
      end

      # What this person did last, as long as nobody changed the same rows since.
      #
      # @param by [Account]
      # @raise [Refusals::InvalidInput, Refusals::EditConflict]
      def undo(by:)
        check_open
        step = SheetDraftRow.to_undo(self, by: by)
        return DraftWork.order(self, 'undo', step[:before], by: by, step_id: step[:id]) if step[:before].size > DraftWork::AT_ONCE

        SheetDraftRow.undo(self, step, by: by)
        associations.delete(:rows)
      end

      # @return [void]
      def cancel_work = DraftWork.going_on.first(draft_id: id)&.cancel

      # @param by [Account]
      # @return [Boolean]
      def undoable?(by:) = db[:sheet_draft_step].where(draft_id: id, person_id: by.id, undone_at: nil).any?

      # @param by [Account]
      # @param onto [String, nil] newest version that whoever publishes knows of
      # @return [SheetVersion]
      # @raise [Refusals::UnreadableSheet, Refusals::InvalidInput, Refusals::EditConflict]
      def publish(by:, onto: nil)
        check_open
        sheet = Queries::Machines.asked_by(by) { to_core.sheet&.tap { |core| SheetVersion.workable!(core) } }
        raise Refusals::InvalidInput.new('Something is wrong in this sheet yet: it is said at its rows', fields: {}) if sheet.nil?

        # Held, so that of two who publish at once the second one sees the first.
        held = Sheet.where(key: sheet.key).for_update.first
        newest = held && SheetVersion.newest_of(sheet.key)
        check_place(sheet, newest, onto)
        version = SheetVersion.establish(held || Sheet.create(key: sheet.key), sheet, by: by)
        check_new(version, newest)
        update(ended_at: Time.now.utc, version_id: version.id)
        version
      end

      # @return [void]
      def drop
        check_open
        update(ended_at: Time.now.utc)
      end

      private

      def check_room(size)
        raise Refusals::InvalidInput.new("A sheet has at most #{MOST_ROWS} rows: part it into several", fields: {}) if size > MOST_ROWS
      end

      def more_of(text)
        read, problems = Drafting::Draft.read_more(text)
        raise Refusals::InvalidInput.new('This cannot be read', fields: { 'more' => problems }) if problems.any?

        read
      end

      def check_open
        return if ended_at.nil?

        raise Refusals::InvalidInput.new(version_id ? 'This draft was published: begin another one from its version' : 'This draft was dropped',
                                         fields: {})
      end

      def check_place(sheet, newest, onto)
        if newest && base_version.nil?
          raise Refusals::InvalidInput.new("There is a sheet #{sheet.key} already: give this one another key, or change that one",
                                           fields: { 'key' => ['is taken'] })
        end
        if newest && newest.id != base_version_id && newest.id != onto
          raise Refusals::EditConflict.new("Version #{newest.n} was published since this draft was begun: look at what it changed, " \
                                           'then publish on top of it', details: { theirs: { version_id: newest.id, n: newest.n } })
        end
        return unless base_version && Drafting::Difference.between(Queries::Machines.of(base_version).sheet, sheet).empty?

        raise Refusals::InvalidInput.new('This draft says what its version says already', fields: {})
      end

      # An older version that says the same is there already.
      def check_new(version, newest)
        return if newest.nil? || version.n > newest.n

        raise Refusals::InvalidInput.new("Version #{version.n} says this already: move the units to that one", fields: {})
      end
    end
  end
end
