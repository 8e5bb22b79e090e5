# frozen_string_literal: true

module Server
  module Queries
    # A sheet that nobody drew: made from the facts of a unit, and read as others are.
    class UsualToRead
      # @return [Wattomneum::Circuits::Sheet]
      attr_reader :sheet

      # @param sheet [Wattomneum::Circuits::Sheet]
      def initialize(sheet)
        @sheet = sheet
      end

      # @return [Hash] of what is otherwise than the sheet: nothing
      def overrides = {}

      # @return [Models::SheetDrawing]
      def drawing = @drawing ||= Models::SheetDrawing.order_sheet(sheet)
    end
  end
end
