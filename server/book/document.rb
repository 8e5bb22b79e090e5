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
      private_constant :FACES, :FAMILY, :MM, :INK, :QUIET

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

        across = @pdf.bounds.width
        @pdf.table([head, *rows], header: true, width: across, column_widths: widths.transform_values { |share| share * across },
                   cell_style: { size: 9, padding: [2, 4], borders: [:bottom], border_width: 0.4, border_color: 'B9AE9C' }) do |made|
          made.row(0).font_style = :bold
          made.row(0).border_width = 1
        end
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
          @pdf.stroke_color 'B9AE9C'
          @pdf.stroke_horizontal_line 0, @pdf.bounds.width, at: at - 4
        end
      end
    end
  end
end
