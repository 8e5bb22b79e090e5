# frozen_string_literal: true

module Server
  module Book
    # What a book holds of one sheet: its drawing cut into pages, its wiring table, the faces of its plugs.
    class SheetPages
      # @param read [Queries::SheetToRead] with what one unit has otherwise; its table alone where it is not drawn
      # @param paper [String] of Paper
      # @param view [String] of Wattomneum::Circuits::ConnectorFace, one for a whole book
      def initialize(read, paper:, view:)
        @own = Presenters::Circuits::OwnFacts.new(read).all.fetch(:own)
        @sheet = read.sheet
        @pictures = Presenters::Circuits::SheetDrawing.pictures(read.drawing, read.sheet, read.overrides.keys)
        @paper = paper
        @view = view
      end

      # @param book [Document]
      # @return [void]
      def add_to(book)
        draw_in(book)
        book.pdf.start_new_page
        book.heading("Wires of #{@sheet.title}")
        book.list(%w[Wire Colour Size From To Length Zone], wires, shares: [0.09, 0.12, 0.08, 0.26, 0.26, 0.06, 0.13])
        otherwise(book)
        faces(book)
      end

      # The drawing alone.
      #
      # @param book [Document]
      # @return [void]
      def draw_in(book) = book.chapter(@sheet.title) { draw(book) }

      private

      def draw(book)
        return book.say('There is no drawing of this sheet: read its table.') if @pictures.empty?

        Page.through(@pictures, @paper, first: book.pdf.page_number).each_with_index do |page, index|
          book.pdf.start_new_page if index.positive?
          book.drawing(Svg.page(page, title: @sheet.title), width_mm: page.picture['width'] * page.scale)
        end
      end

      def wires
        @sheet.wires.map do |wire|
          [wire.number, wire.colour, wire.size, end_of(wire.from), end_of(wire.to), wire.length_m && "#{wire.length_m} m",
           wire.zone && (@sheet.zones.dig(wire.zone, 'label') || wire.zone)].map(&:to_s)
        end
      end

      def otherwise(book)
        return if @own.empty?

        book.heading('Otherwise on this unit, underlined on the drawing')
        rows = @own.map { |own| ["#{own[:name]} #{own[:fact][:label]}", *said(own[:fact]), *own[:fact][:own].values_at(:why, :person)].map(&:to_s) }
        book.list(%w[What Here Sheet Why Who], rows, shares: [0.18, 0.15, 0.15, 0.34, 0.18])
      end

      def said(fact) = fact.values_at(:says, :sheet_says).map { |says| says ? [says, fact[:unit]].compact.join(' ') : 'not said' }

      def end_of(node)
        part = @sheet.part(node.split(':', 2).first)
        name = Wattomneum::Circuits::Sheet.short(node)
        part.label == part.id ? name : "#{name}  #{part.label}"
      end

      def faces(book)
        plugs = @sheet.parts.grep(Wattomneum::Circuits::Parts::Connector)
        return if plugs.empty?

        book.heading("Plugs of #{@sheet.title}")
        halves = Wattomneum::Circuits::Parts::Connector::HALVES
        plugs.each { |plug| halves.each { |half| ConnectorPlate.new(@sheet, plug, half: half, view: @view).add_to(book) } }
      end
    end
  end
end
