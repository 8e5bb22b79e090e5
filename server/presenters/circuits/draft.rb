# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # A sheet while it is written: its head, its rows with what is wrong in each, what it changes.
      class Draft
        CORE = Wattomneum::Circuits::Drafting::Draft
        private_constant :CORE

        # @param draft [Models::SheetDraft] with base version, rows and their people
        # @param person [Models::Account] who asks
        def self.call(draft, person) = new(draft, person).call

        # @param draft [Models::SheetDraft]
        # @return [Hash] in a list
        def self.line(draft)
          head = draft.head.to_h
          { id: draft.id, title: head['title'], key: head['sheet'], person: draft.person.name, begun_at: draft.begun_at.iso8601,
n: draft.base_version&.n }
        end

        # @param draft [Models::SheetDraft]
        # @param person [Models::Account]
        def initialize(draft, person)
          @draft = draft
          @person = person
          @core = draft.to_core
        end

        # @return [Hash]
        def call
          { id: @draft.id, base: base, head: @draft.head.to_h.except(*CORE::MORE), more: @core.more, head_version: @draft.head_version,
            ended: !@draft.ended_at.nil?,
            version_id: @draft.version_id, rows: rows, wrong: said(nil), undoable: @draft.undoable?(by: @person), changes: changes,
            ends: @draft.ended_at ? [] : @core.ends, kinds: Wattomneum::Circuits::PartKinds.all.map { |kind| { kind: kind, facts: facts(kind) } } }
        end

        private

        def base
          version = @draft.base_version
          version && { version_id: version.id, n: version.n, title: version.title }
        end

        def rows
          @draft.standing.map do |row|
            { item_uuid: row.item_uuid, kind: row.kind, typed: row.typed.to_h, row_version: row.row_version, person: row.person.name,
              wrong: said(row.item_uuid) }
          end
        end

        def said(uuid) = by_row.fetch(uuid, []).map { |one| { message: one.message, way_out: one.way_out } }
        def by_row = @by_row ||= @core.objections.group_by(&:uuid)

        # null where the sheet can not be read yet.
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
