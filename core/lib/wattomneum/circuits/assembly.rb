# frozen_string_literal: true

module Wattomneum
  module Circuits
    # All sheets of a unit as one circuit. Sheets are joined at their places and by their links, never by equal ids: G2 on one sheet is
    # another ground than G2 on the next. What two sheets draw at the same places is one part, and one cable; where they draw it
    # otherwise the sheet with more places holds, and the difference is listed.
    class Assembly
      # what: the part or wire; sheets: the key of the one that does not hold; said: field to what each of them says
      Difference = Struct.new(:what, :uuids, :sheets, :said, keyword_init: true)
      KEY = 'whole'
      # A joint that two sheets draw as different kinds of thing: as good as one.
      TIE_OHM = 0.00001
      # Resistances within this of each other are one and the same cable.
      ALIKE_RATIO = 1.25

      # @return [Sheet] everything on one
      attr_reader :sheet
      # @return [Array<Difference>]
      attr_reader :differences
      # @return [Array<Sheet>] of another voltage than the rest
      attr_reader :left_out

      # @param sheets [Array<Sheet>] of one unit, with its overrides; at least one
      # @param title [String]
      # @raise [SheetsDisagreeError] if there is none, or they do not go together
      def initialize(sheets, title: 'The whole unit')
        raise SheetsDisagreeError, 'no sheet is fitted: fit one, and the unit has a circuit' if sheets.empty?

        # What somebody drew goes before what is usual; one that draws its batteries one by one knows more of the bank than one that draws
        # it as a box.
        ordered = sheets.map { |sheet| Assembling::UnderstoodPlaces.on(sheet) }.sort_by.with_index do |sheet, index|
          [UsualSheets.made?(sheet) ? 1 : 0, -sheet.parts.grep(Parts::Battery).size, -sheet.places.size, index]
        end
        @left_out = ordered.reject { |sheet| sheet.system_volt == ordered.first.system_volt }
        @sheets = ordered - @left_out
        @states = Assembling::States.new(@sheets)
        @differences = []
        @drawing = Assembling::Drawing.new(@states)
        @sheets.each { |sheet| Assembling::Joining.new(@drawing, sheet, @differences).call }
        @sheet = build(title)
        freeze
      end

      # @param uuid [String] of a component or wire on any of its sheets
      # @return [String] of the one thing that it is here
      def now(uuid) = @drawing.one_and_the_same.fetch(uuid, uuid)

      private

      def build(title)
        first = @sheets.first
        Sheet.new(key: KEY, title: title, system_volt: first.system_volt, reference: @drawing.node_of(first, first.reference), parts: @drawing.parts,
                  wires: @drawing.wires + @drawing.ties(@sheets), states: @states.labels, zones: zones, loops: loops, places: @drawing.places,
                  links: @drawing.links_left(@sheets), loose_ends: @drawing.loose_ends)
      end

      def zones = @sheets.reverse.map(&:zones).reduce({}, :merge)

      # Where several sheets draw one, the first.
      def loops
        found = @sheets.flat_map { |sheet| sheet.loops.map { |loop| [sheet, loop] } }.uniq { |_, loop| loop.key }
        found.map { |sheet, loop| Sheet::Loop.new(key: loop.key, load: @drawing.part_id(sheet, loop.load), state: loop.state) }
      end
    end
  end
end
