# frozen_string_literal: true

module Server
  module Book
    # One half of a plug as one looks at it, and what is in each of its ways. Where the sheet does not say how the ways lie there is a list and no
    # face: a guessed one costs more than none.
    class ConnectorPlate
      WORDS = { 'wire' => 'seen from the wire side', 'mating' => 'seen into its mouth' }.freeze
      WAY = 22
      private_constant :WAY

      # @param sheet [Wattomneum::Circuits::Sheet]
      # @param plug [Wattomneum::Circuits::Parts::Connector]
      # @param half [String] a or b
      # @param view [String] of Wattomneum::Circuits::ConnectorFace
      def initialize(sheet, plug, half:, view:)
        @sheet = sheet
        @plug = plug
        @half = half
        @view = view
      end

      # @param book [Document]
      # @return [void]
      def add_to(book)
        return if wired.empty?

        seen = @plug.face&.rows(half: @half, view: @view)
        pdf = book.pdf
        pdf.start_new_page if pdf.cursor < 60 + (WAY * (seen&.size || 1))
        pdf.move_down 6
        book.say("#{@plug.id} half #{@half}, #{@plug.label}: #{seen ? WORDS.fetch(@view) : 'how its ways lie is not on the sheet'}", style: :bold)
        face(pdf, seen) if seen
        rows = wired.flat_map { |way, wires| wires.map { |wire| [way, wire.number, wire.colour.to_s, wire.size.to_s] } }
        book.list(%w[Way Wire Colour Size], rows, shares: [0.1, 0.15, 0.25, 0.5])
      end

      private

      # Ways with something in them.
      def wired
        @wired ||= @plug.names.filter_map do |way|
          node = @plug.node("#{@half}/#{way}")
          wires = @sheet.wires.select { |wire| [wire.from, wire.to].include?(node) }
          [way, wires] if wires.any?
        end
      end

      def face(pdf, rows)
        pdf.move_down 4
        top = pdf.cursor
        across = rows.map(&:size).max
        pdf.stroke_color '211D18'
        pdf.stroke_rectangle [0, top], (across * WAY) + 8, (rows.size * WAY) + 8
        rows.each_with_index do |row, at|
          row.each_with_index do |way, column|
            way(pdf, way, 4 + (WAY * (column + 0.5)), top - 4 - (WAY * (at + 0.5)))
          end
        end
        pdf.move_cursor_to top - (rows.size * WAY) - 14
      end

      def way(pdf, name, x, y)
        return if name == Wattomneum::Circuits::ConnectorFace::EMPTY

        taken = wired.any? { |way, _| way == name }
        pdf.stroke_circle [x, y], 8
        pdf.text_box name, at: [x - 9, y + 5], width: 18, height: 11, align: :center, size: 8, style: taken ? :bold : :normal
        pdf.stroke { pdf.line [x - 5, y - 5], [x + 5, y + 5] } unless taken
      end
    end
  end
end
