# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drafting
      # What a foreign list makes of the rows of a draft: wires that are there by their number say what it says, others are new; components that it
      # names and nobody drew are rows whose kind is yet to be said.
      class ListTaken
        # @param rows [Array<Draft::Row>] of the draft
        # @param wires [Array<Hash{String => String}>] as ForeignList types them
        # @param components [Boolean] whether rows are made for components that are not there
        # @yieldreturn [String] a UUID for each row that is made
        # @return [Array<Draft::Row>] rows that are new or changed
        def self.of(rows, wires, components:, &fresh)
          taken = new(rows).call(wires, &fresh)
          components ? taken : taken.select { |row| row.kind == 'wire' }
        end

        # @param rows [Array<Draft::Row>]
        def initialize(rows)
          @components, wires = rows.partition { |row| row.kind == 'component' }
          @by_number = wires.to_h { |row| [row.typed['number'].to_s, row] }
          @numbers = @by_number.keys.to_set
        end

        # @param wires [Array<Hash{String => String}>]
        # @yieldreturn [String]
        # @return [Array<Draft::Row>] components first
        def call(wires, &fresh)
          @numbers.merge(wires.filter_map { |typed| typed['number'] })
          named(wires, &fresh) + wires.filter_map { |typed| wire(typed, &fresh) }
        end

        private

        # The second row of one number is a row of its own, and objected to there.
        def wire(typed)
          there = typed['number'] && @by_number.delete(typed['number'])
          return Draft::Row.new(uuid: yield, kind: 'wire', typed: { **typed, 'number' => typed['number'] || free_number }) if there.nil?

          merged = there.typed.merge(typed)
          Draft::Row.new(uuid: there.uuid, kind: 'wire', typed: merged) unless merged == there.typed
        end

        def free_number
          @last = @last.to_i + 1
          @last += 1 while @numbers.include?("w#{@last}")
          "w#{@last}"
        end

        def named(wires)
          pins = wires.flat_map { |typed| typed.values_at('from', 'to').compact }.map { |node| node.split(':', 2) }.group_by(&:first)
          (pins.keys - @components.map { |row| row.typed['id'].to_s }).map do |id|
            Draft::Row.new(uuid: yield, kind: 'component', typed: { 'id' => id, 'kind' => '', 'facts' => facts(pins.fetch(id)) })
          end
        end

        # Its pins are told where it is to be said what it is.
        def facts(ends)
          names = ends.filter_map { |end_of_wire| end_of_wire[1] }.uniq
          names.empty? ? '' : "note: #{JSON.generate("pins in the list: #{names.join(', ')}")}"
        end
      end
    end
  end
end
