# frozen_string_literal: true

module Server
  module Book
    # One page of a picture: what lies on it, its wires cut at its edges, a flag at each cut end that says which page and pin it goes on to.
    class Page
      # A wire's end at an edge: x; at: :top or :bottom; number, colour; page: where it goes on; pin: its far end there
      Flag = Struct.new(:x, :at, :number, :colour, :page, :pin, keyword_init: true) do
        # @return [String]
        def words = [number, colour, pin, "p. #{page}"].compact.join('  ')
      end

      # @param picture [Hash] as drawing/lib/types.d.ts says, Picture
      # @param paper [String] of Paper
      # @param first [Integer] number of its first page, as it stands at the head of pages
      # @return [Array<Page>]
      def self.of(picture, paper, first: 1)
        cuts = picture['cuts'].fetch(paper)
        cuts['pages'].each_index.map { |index| new(picture, cuts, index, first + index) }
      end

      # @param pictures [Array<Hash>]
      # @param paper [String] of Paper
      # @param first [Integer] number of the first page of all
      # @return [Array<Page>] numbered through
      def self.through(pictures, paper, first: 1)
        pictures.reduce([]) { |pages, picture| pages + of(picture, paper, first: first + pages.size) }
      end

      # top, bottom: of what it shows; above, below: room for the flags of a cut; scale: mm a unit; number: of the page
      attr_reader :top, :bottom, :above, :below, :scale, :number

      # @param cuts [Hash] of one paper
      # @param index [Integer] among the pages of the picture
      # @param number [Integer] among those of the paper in hand
      def initialize(picture, cuts, index, number)
        @picture = picture
        @pages = cuts['pages'].size
        @index = index
        @number = number
        @scale = cuts['scale']
        @top, @bottom, @above, @below = cuts['pages'][index].values_at('top', 'bottom', 'above', 'below')
      end

      # @return [Boolean] whether it is all of the picture
      def whole? = @pages == 1

      # @return [Hash] a picture of its own, in the same units
      def picture
        return @picture if whole?

        parts = @picture['parts'].select { |part| here?(part['y'] + (part['height'] / 2.0)) }
        @picture.merge('parts' => parts, 'wires' => wires, 'zones' => @picture['zones'].filter_map { |zone| zone(zone) })
      end

      # @return [Array<Flag>]
      def flags
        return [] if whole?

        @picture['wires'].select { |wire| wire['wire'] }.flat_map { |wire| crossings(wire).map { |x, edge| flag(wire, x, edge) } }
      end

      private

      def here?(height) = height.between?(@top, @bottom)

      def wires
        @picture['wires'].flat_map do |wire|
          pieces(wire['points']).each_with_index.map do |points, number|
            label = wire['label']
            wire.merge('points' => points, 'label' => number.zero? && label && here?(label['y'] + (label['height'] / 2.0)) ? label : nil)
          end
        end
      end

      # What of a wire lies on this page, in pieces where it leaves and comes back.
      def pieces(points)
        inside = points.each_cons(2).map { |run| clipped(run) }
        inside.chunk_while { |before, after| before && after && before.last == after.first }.filter_map do |runs|
          runs = runs.compact
          [runs.first.first, *runs.map(&:last)] if runs.any?
        end
      end

      def clipped(run)
        low, high = run.map(&:last).minmax
        return if high < @top || low > @bottom || (low == high && !here?(low))

        run.map { |x, y| [x, y.clamp(@top, @bottom)] }
      end

      # A zone of which nothing stands on this page is left out.
      def zone(zone)
        return if @picture['parts'].none? { |part| part['zone'] == zone['key'] && on?(part, zone) && here?(part['y'] + (part['height'] / 2.0)) }

        from = [zone['y'], @top].max
        to = [zone['y'] + zone['height'], @bottom].min
        named = zone['label_at'] && here?(zone['label_at'].last)
        zone.merge('y' => from, 'height' => to - from, 'label_at' => named ? zone['label_at'] : nil) if to > from
      end

      def on?(part, zone)
        [%w[x width], %w[y height]].all? { |at, size| (part[at] + (part[size] / 2.0)).between?(zone[at], zone[at] + zone[size]) }
      end

      # Where a wire crosses an edge of this page that is no edge of the picture.
      def crossings(wire)
        wire['points'].each_cons(2).flat_map do |(from_x, from), (_, to)|
          edges.filter_map { |edge, height| [from_x, edge] if [from, to].minmax.then { |low, high| low < height && high > height } }
        end
      end

      def edges
        @edges ||= { top: (@top if @index.positive?), bottom: (@bottom if @index < @pages - 1) }.compact
      end

      def flag(wire, x, edge)
        page = edge == :top ? number - 1 : number + 1
        Flag.new(x: x, at: edge, number: wire['number'], colour: wire['colour'], page: page, pin: far_pin(wire, edge))
      end

      # The end of the wire that lies beyond that edge.
      def far_pin(wire, edge)
        beyond = edge == :top ? ->(y) { y < @top } : ->(y) { y > @bottom }
        port = ends[wire['wire']].to_a.find { |one| beyond.call(one['y']) }
        port && port['pin'].delete_suffix(':joint')
      end

      def ends = @ends ||= @picture['parts'].flat_map { |part| part['ports'] }.group_by { |port| port['wire'] }
    end
  end
end
