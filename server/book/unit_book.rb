# frozen_string_literal: true

module Server
  module Book
    # All that is drawn of one unit, or one sheet by itself, as one file for the cab.
    class UnitBook
      # @param title [String]
      # @param under [Array<String>] what stands below the title
      # @param sheets [Array(Wattomneum::Circuits::Sheet, Array<Hash>)] each with its pictures
      # @param paper [String] of Paper
      # @param view [String] of Wattomneum::Circuits::ConnectorFace
      def initialize(title:, under:, sheets:, paper:, view:)
        @title = title
        @under = under
        @sheets = sheets
        @paper = paper
        @view = view
      end

      # @return [String] PDF
      def render
        book = Document.new(title: @title, under: [*@under, "Plugs are #{ConnectorPlate::WORDS.fetch(@view)}, all of them."], paper: @paper)
        @sheets.each { |sheet, pictures| SheetPages.new(sheet, pictures, paper: @paper, view: @view).add_to(book) }
        book.render
      end
    end
  end
end
