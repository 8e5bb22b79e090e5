# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drafting
      # A second one of what stands on a sheet already: components, and the wires between them, under numbers that are free.
      class BlockCopy
        # @param rows [Array<Draft::Row>] of the draft
        # @param uuids [Array<String>] components to copy
        # @yieldreturn [String] a UUID for each row that is made
        # @return [Array<Draft::Row>] new rows
        def self.of(rows, uuids, &) = new(rows, uuids).copies(&)

        ENDS = %w[from to].freeze
        private_constant :ENDS

        # @param rows [Array<Draft::Row>]
        # @param uuids [Array<String>]
        def initialize(rows, uuids)
          components, @wires = rows.partition { |row| row.kind == 'component' }
          @chosen = components.select { |row| uuids.include?(row.uuid) }
          @ids = components.map { |row| row.typed['id'].to_s }
          @numbers = @wires.map { |row| row.typed['number'].to_s }
        end

        # @yieldreturn [String]
        # @return [Array<Draft::Row>]
        def copies
          renamed = @chosen.to_h { |row| [row.typed['id'].to_s, free(@ids, row.typed['id'].to_s)] }
          parts = @chosen.map { |row| Draft::Row.new(uuid: yield, kind: 'component', typed: row.typed.merge('id' => renamed.fetch(row.typed['id'].to_s))) }
          parts + between(renamed).map do |row|
            ends = ENDS.to_h { |side| [side, moved(row.typed[side], renamed)] }
            Draft::Row.new(uuid: yield, kind: 'wire', typed: row.typed.merge('number' => free(@numbers, row.typed['number'].to_s), **ends))
          end
        end

        private

        def between(renamed)
          @wires.select { |row| ENDS.all? { |side| renamed.key?(row.typed[side].to_s.split(':', 2).first) } }
        end

        def moved(drawn, renamed)
          id, pin = drawn.to_s.split(':', 2)
          [renamed.fetch(id), pin].compact.join(':')
        end

        # K1 becomes the next K that is free; what ends in no figure gets one.
        def free(taken, name)
          stem, figure = name.match(/\A(.*?)(\d*)\z/).captures
          next_one = (figure.empty? ? 2 : figure.to_i + 1)
          next_one += 1 while taken.include?("#{stem}#{next_one}")
          "#{stem}#{next_one}".tap { |made| taken << made }
        end
      end
    end
  end
end
