# frozen_string_literal: true

module Wattomneum
  module Circuits
    # How the ways of a plug lie as one looks at it. Written for one half and one side of it; the other three follow: a half's two sides are
    # mirror images, and so are the faces of two halves that go into each other.
    class ConnectorFace
      # mating: into its mouth; wire: from where its wires come out.
      VIEWS = %w[mating wire].freeze
      # A place without a way.
      EMPTY = '.'

      # @param rows [Array<Array<String>>] names of ways, "." for none, as seen
      # @param view [String] of VIEWS
      # @param half [String] a or b
      def initialize(rows:, view:, half:)
        @rows = rows
        @view = view
        @half = half
        freeze
      end

      # @param written [Array<String>] "1 2 3", "4 . 5"
      # @return [Array<Array<String>>]
      def self.rows_of(written) = written.map { |row| row.to_s.split }

      # @param half [String] a or b
      # @param view [String] of VIEWS
      # @return [Array<Array<String>>] rows from above as one looks at that half from that side
      def rows(half:, view:)
        mirrored = (half == @half) ^ (view == @view)
        mirrored ? @rows.map(&:reverse) : @rows
      end
    end
  end
end
