# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # A sheet while it is written: its head, its rows with what is wrong in each, what it changes.
      class Draft
        CORE = Wattomneum::Circuits::Drafting::Draft
        # Rows of a kind at once.
        PAGE = 200
        KINDS = %w[component wire].freeze
        ALL = { 'component' => 0, 'wire' => 0, 'wrong' => false }.freeze
        private_constant :CORE, :KINDS, :ALL

        # @param draft [Models::SheetDraft] with base version, rows and their people
        # @param person [Models::Account] who asks
        # @param page [Hash] of each kind which page of its rows, and whether only wrong ones
        def self.call(draft, person, page = ALL) = new(draft, person, page).call

        # @param draft [Models::SheetDraft]
        # @return [Hash] in a list
        def self.line(draft)
          head = draft.head.to_h
          { id: draft.id, title: head['title'], key: head['sheet'], person: draft.person.name, begun_at: draft.begun_at.iso8601,
n: draft.base_version&.n }
        end

        # @param draft [Models::SheetDraft]
        # @param person [Models::Account]
        # @param page [Hash]
        def initialize(draft, person, page)
          @page = page
          @draft = draft
          @person = person
          @core = draft.to_core
        end

        # @return [Hash]
        def call
          { id: @draft.id, base: base, head: @draft.head.to_h.except(*CORE::MORE), more: @core.more, head_version: @draft.head_version,
            ended: !@draft.ended_at.nil?,
            version_id: @draft.version_id, rows: rows, pages: pages, work: work, wrong: said(nil),
            undoable: @draft.undoable?(by: @person), changes: changes,
            ends: @draft.ended_at ? [] : @core.ends, kinds: Wattomneum::Circuits::PartKinds.all.map { |kind| { kind: kind, facts: facts(kind) } } }
        end

        private

        def base
          version = @draft.base_version
          version && { version_id: version.id, n: version.n, title: version.title }
        end

        def rows
          KINDS.flat_map { |kind| listed(kind).slice(pages[kind][:page] * PAGE, PAGE) }.map do |row|
            { item_uuid: row.item_uuid, kind: row.kind, typed: row.typed.to_h, row_version: row.row_version, person: row.person.name,
              wrong: said(row.item_uuid) }
          end
        end

        def listed(kind) = (@page['wrong'] ? wrong_rows : @draft.standing).select { |row| row.kind == kind }
        def wrong_rows = @wrong_rows ||= @draft.standing.select { |row| by_row.key?(row.item_uuid) }

        # One beyond the last is the last.
        def pages
          @pages ||= KINDS.to_h do |kind|
            count = listed(kind).size
            [kind, { page: @page[kind].clamp(0, [(count - 1) / PAGE, 0].max), of: [(count.to_f / PAGE).ceil, 1].max, rows: count }]
          end.merge(wrong_rows: wrong_rows.size, size: PAGE)
        end

        def work
          last = Models::DraftWork.last_of(@draft.id) or return
          { kind: last.kind, done: last.done, total: last.total, left: last.left, going_on: last.ended_at.nil?, cancelled: !last.cancelled_at.nil? }
        end

        def said(uuid) = by_row.fetch(uuid, []).map { |one| { message: one.message, way_out: one.way_out } }
        def by_row = @by_row ||= @core.objections.group_by(&:uuid)

        # null where the sheet cannot be read yet.
        def changes
          sheet = @core.sheet
          return if sheet.nil? || @draft.base_version.nil?

          Difference.call(Queries::Machines.of(@draft.base_version).sheet, sheet)
        end

        def facts(kind) = Wattomneum::Circuits::PartKinds.fields(kind).keys - %w[id kind label zone uuid]
      end
    end
  end
end
