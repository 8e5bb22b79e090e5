# frozen_string_literal: true

require 'prawn'
require 'prawn/table'
require 'prawn-svg'

module Server
  module Book
    # A book as PDF: one face, a head and a number on every page, contents at its beginning. Chapters are added in the order in which they are read.
    class Document
      FACES = File.join(ROOT, 'drawing/node_modules/@expo-google-fonts/archivo-narrow')
      FAMILY = { normal: File.join(FACES, '500Medium/ArchivoNarrow_500Medium.ttf'),
bold: File.join(FACES, '700Bold/ArchivoNarrow_700Bold.ttf') }.freeze
      MM = Paper::MM
      INK = '211D18'
      QUIET = '5C5346'
      RULE = 'B9AE9C'
      # Height of a line of a list.
      ROW = 15
      private_constant :FACES, :FAMILY, :MM, :INK, :QUIET, :RULE, :ROW

      # @param title [String]
      # @param under [Array<String>] lines below the title: what it was made of, and when
      # @param paper [String] of Paper
      def initialize(title:, under:, paper: 'a4')
        @title = title
        @paper = Paper::ALL.fetch(paper)
        @chapters = []
        head, edge = [Paper::MARGIN_MM + Paper::HEAD_MM, Paper::MARGIN_MM].map { |mm| mm * MM }
        @pdf = Prawn::Document.new(page_size: @paper.points, margin: [head, edge, edge],
                                   info: { Title: title, Creator: 'Wattomneum' })
        # Said on every page before states are saved and restored: to a colour without its space some readers object.
        ink = ->(*) { %i[fill_color stroke_color].each { |which| @pdf.public_send(which, INK) } }
        @pdf.on_page_create(&ink)
        ink.call
        @pdf.font_families.update('Archivo Narrow' => FAMILY)
        @pdf.font 'Archivo Narrow', size: 10
        cover(under)
      end

      # @return [Prawn::Document]
      attr_reader :pdf

      # Begins on a new page; its name stands in the contents.
      #
      # @param name [String]
      # @yield puts what it holds
      def chapter(name)
        @pdf.start_new_page
        @chapters << [name, @pdf.page_number]
        @pdf.add_dest(name, @pdf.dest_fit)
        yield
      end

      # @param words [String]
      def heading(words)
        @pdf.start_new_page if @pdf.cursor < 60
        @pdf.move_down 8
        @pdf.text words, size: 14, style: :bold
        @pdf.move_down 4
      end

      # @param words [String]
      def say(words, **look) = @pdf.text(words, **look)

      # @param head [Array<String>]
      # @param rows [Array<Array<String>>]
      # @param widths [Hash{Integer => Float}] share of the page by column, the others take what is left
      def table(head, rows, widths: {})
        return say('None.') if rows.empty?

        # Every width is given: what is not is measured cell by cell, and takes most of the time of a book.
        left = (1.0 - widths.values.sum) / (head.size - widths.size)
        shares = Array.new(head.size) { |column| widths.fetch(column, left) * @pdf.bounds.width }
        @pdf.table([head, *rows], header: true, column_widths: shares,
                   cell_style: { size: 9, padding: [2, 4], borders: [:bottom], border_width: 0.4, border_color: RULE }) do |made|
          made.row(0).font_style = :bold
          made.row(0).border_width = 1
        end
      end

      # As a table, but each cell on one line, set smaller where it is longer than its column: a hundred wires in a tenth of the time.
      #
      # @param head [Array<String>]
      # @param rows [Array<Array<String>>]
      # @param shares [Array<Float>] of the page by column
      def list(head, rows, shares:)
        return say('None.') if rows.empty?

        line(head, shares, :bold)
        rows.each do |row|
          if @pdf.cursor < ROW
            @pdf.start_new_page
            line(head, shares, :bold)
          end
          line(row, shares, :normal)
        end
        @pdf.move_down 4
      end

      # An SVG as large as it is, from the left upper corner of what is left of the page.
      #
      # @param svg [String]
      # @param width_mm [Float]
      def drawing(svg, width_mm:)
        @pdf.svg(svg, width: width_mm * MM, position: :left, enable_web_requests: false)
      end

      # @return [String] the file
      def render
        contents
        heads
        @pdf.render
      end

      private

      def line(cells, shares, style)
        @pdf.move_down ROW
        at = 0.0
        @pdf.font('Archivo Narrow', style: style) do
          cells.zip(shares) do |text, share|
            room = share * @pdf.bounds.width
            @pdf.draw_text text, at: [at + 3, @pdf.cursor + 4], size: size_for(text, room - 6), kerning: false
            at += room
          end
        end
        @pdf.stroke_color RULE
        @pdf.line_width = style == :bold ? 1 : 0.4
        @pdf.stroke_horizontal_line 0, @pdf.bounds.width, at: @pdf.cursor
      end

      def size_for(text, room)
        wide = @pdf.width_of(text, size: 9, kerning: false)
        wide <= room ? 9 : 9 * room / wide
      end

      def cover(under)
        @pdf.text @title, size: 24, style: :bold
        under.each { |line| @pdf.text line, size: 11, color: QUIET }
        @pdf.move_down 16
        @contents_at = @pdf.cursor
      end

      # Written last, on the first page: only then it is known where chapters begin.
      def contents
        @pdf.go_to_page 1
        @pdf.move_cursor_to @contents_at
        @chapters.each do |name, page|
          @pdf.formatted_text [{ text: name, anchor: name, size: 12 }, { text: "   #{page}", size: 12, color: QUIET }]
          @pdf.move_down 2
        end
      end

      def heads
        @pdf.repeat(:all, dynamic: true) do
          chapter = @chapters.reverse.find { |_, page| page <= @pdf.page_number }&.first
          at = @pdf.bounds.top + (6 * MM)
          words = [@title, chapter].compact.uniq.join(', ')
          @pdf.draw_text words, at: [0, at], size: 9
          @pdf.draw_text "#{@pdf.page_number} of #{@pdf.page_count}", at: [@pdf.bounds.right - 40, at], size: 9
          @pdf.stroke_color RULE
          @pdf.stroke_horizontal_line 0, @pdf.bounds.width, at: at - 4
        end
      end
    end
  end
end
