# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # Minutes to get a probe somewhere for the first time; where one was already costs nothing again (common practice).
      class Access
        # By kind of component: a splice lies under tape, a plug or a fuse is at hand.
        MINUTES = { 'splice' => 15, 'body' => 3, 'fuse' => 2, 'relay' => 4, 'battery' => 0 }.freeze
        ELSE_MINUTES = 3
        private_constant :MINUTES, :ELSE_MINUTES

        # @param part [Circuits::Part, nil]
        # @return [Integer]
        def self.first_time(part) = part ? MINUTES.fetch(part.kind, ELSE_MINUTES) : ELSE_MINUTES

        # @param sheet [Circuits::Sheet]
        # @param touched [Array<String>] nodes where a probe was
        def initialize(sheet, touched)
          @sheet = sheet
          @touched = touched.to_set { |node| id(node) }
        end

        # @param nodes [Array<String>]
        # @return [Integer]
        def minutes(nodes)
          new_ones = nodes.map { |node| id(node) }.uniq.reject { |one| @touched.include?(one) }
          new_ones.sum { |one| self.class.first_time(@sheet.part(one)) }
        end

        private

        # Of a ring or a lug its stud.
        def id(node) = node.split(/[: ]/).first
      end
    end
  end
end
