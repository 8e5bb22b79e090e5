# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drafting
      # What one version of a sheet says otherwise than another, item by item, in words.
      class Difference
        # uuid; item: "wire 12" or "K1"; what: new, gone or changed; words: what of it, "colour red, was blue"
        Change = Struct.new(:uuid, :item, :what, :words, keyword_init: true)
        # The head and what is named in it.
        HEAD = { title: 'title', system_volt: 'system', reference: 'volts are counted from', note: 'note' }.freeze
        private_constant :HEAD

        # @param before [Sheet]
        # @param after [Sheet]
        # @return [Array<Change>] the head first, then components, then wires
        def self.between(before, after) = new(before, after).changes

        # @param before [Sheet]
        # @param after [Sheet]
        def initialize(before, after)
          @before = before
          @after = after
        end

        # @return [Array<Change>]
        def changes
          [*head, *items(@before.parts, @after.parts, TypedRow.method(:of_part), &:id),
           *items(@before.wires, @after.wires, TypedRow.method(:of_wire)) { |wire| "wire #{wire.number}" }]
        end

        private

        def head
          words = HEAD.filter_map do |name, spoken|
            was, now = [@before, @after].map { |sheet| sheet.public_send(name) }
            "#{spoken} #{said(now)}, was #{said(was)}" unless was == now
          end
          words += named('key state', :states) + named('zone', :zones)
          words.empty? ? [] : [Change.new(uuid: nil, item: 'the sheet', what: 'changed', words: words)]
        end

        def named(spoken, list)
          was, now = [@before, @after].map { |sheet| sheet.public_send(list).keys }
          (now - was).map { |name| "new #{spoken} #{name}" } + (was - now).map { |name| "#{spoken} #{name} gone" }
        end

        def items(was, now, typed)
          before, after = [was, now].map { |list| list.to_h { |one| [one.uuid, one] } }
          changed = (before.keys & after.keys).filter_map do |uuid|
            words = words_of(*[before, after].map { |list| typed.call(list.fetch(uuid)) })
            Change.new(uuid: uuid, item: yield(after.fetch(uuid)), what: 'changed', words: words) if words.any?
          end
          added = (after.keys - before.keys).map { |uuid| Change.new(uuid: uuid, item: yield(after.fetch(uuid)), what: 'new', words: []) }
          gone = (before.keys - after.keys).map { |uuid| Change.new(uuid: uuid, item: yield(before.fetch(uuid)), what: 'gone', words: []) }
          changed + added + gone
        end

        def words_of(was, now)
          now.filter_map { |column, value| "#{column.tr('_', ' ')} #{said(value)}, was #{said(was[column])}" unless was[column] == value }
        end

        def said(value) = value.to_s.empty? ? 'none' : value.to_s
      end
    end
  end
end
