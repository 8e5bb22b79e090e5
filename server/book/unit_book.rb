# frozen_string_literal: true

module Server
  module Book
    # All that is drawn of one unit, or one sheet by itself, as one file for the cab.
    class UnitBook
      # @param title [String]
      # @param under [Array<String>] what stands below the title
      # @param sheets [Array<Queries::SheetToRead>]
      # @param day [Date] on which it is printed
      # @param paper [String] of Paper
      # @param view [String] of Wattomneum::Circuits::ConnectorFace
      def initialize(title:, under:, sheets:, day:, paper:, view:)
        @title = title
        @under = under
        @sheets = sheets
        @day = day
        @paper = paper
        @view = view
      end

      # @return [String] PDF
      def render
        book = Document.new(title: @title, under: [*@under, *otherwise, printed, plugs], paper: @paper)
        @sheets.each { |one| SheetPages.new(one, paper: @paper, view: @view).add_to(book) }
        book.render
      end

      private

      def otherwise
        own = @sheets.sum { |one| one.overrides.size }
        own.zero? ? [] : ["#{own} things are otherwise on this unit, printed as they are on it and underlined"]
      end

      def printed = "Printed #{@day.strftime('%-d %b %Y')}"
      def plugs = "Plugs are #{ConnectorPlate::WORDS.fetch(@view)}, all of them."
    end
  end
end
