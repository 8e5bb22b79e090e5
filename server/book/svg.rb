# frozen_string_literal: true

module Server
  module Book
    # A drawing as an SVG file that stands by itself: on paper, in a mail, on another machine. One page of it, where it is cut.
    class Svg
      INK = '#1f1c17'
      QUIET = '#7d7362'
      PAPER = '#ffffff'
      NO_COLOUR = '#f4f0e6'
      ZONES = %w[#f1eadb #e6edeb #eee7ed #e9ecdd #ebe9f2 #f2e7e0].freeze
      FAMILY = 'Archivo Narrow, sans-serif'
      SIZES = { name: 13, pin: 11.5, wire: 12.5 }.freeze
      LOOKS = { 'outline' => "fill=\"#fffdf8\" stroke=\"#{INK}\" stroke-width=\"1.6\"",
                'line' => "fill=\"none\" stroke=\"#{INK}\" stroke-width=\"1.4\"",
                'bold' => "fill=\"none\" stroke=\"#{INK}\" stroke-width=\"3\"", 'fill' => "fill=\"#{INK}\" stroke=\"none\"",
                'shade' => "fill=\"#ddd6c6\" stroke=\"#{INK}\" stroke-width=\"1.6\"" }.freeze
      private_constant :INK, :QUIET, :PAPER, :NO_COLOUR, :ZONES, :FAMILY, :SIZES, :LOOKS

      # Between pictures of a sheet that is drawn zone by zone.
      GAP = 60
      private_constant :GAP

      # @param pictures [Array<Hash>] as drawing/lib/types.d.ts says, Picture
      # @param title [String]
      def initialize(pictures, title:)
        @pictures = pictures
        @title = title
      end

      # @param page [Page]
      # @param title [String]
      # @return [String] one page of a picture, with the flags of its cut ends above and below it
      def self.page(page, title:) = new([page.picture], title: title).page(page)

      # @param page [Page]
      # @return [String]
      def page(page)
        flags = page.flags.map { |flag| flag(flag, page) }
        height = page.above + page.bottom - page.top + page.below
        frame([0, page.top - page.above, @pictures.first['width'], height], [body(@pictures.first), *flags])
      end

      # @return [String]
      def to_s
        width = @pictures.map { |picture| picture['width'] }.max
        top = 0
        bodies = @pictures.map do |picture|
          %(<g transform="translate(0 #{top})">#{body(picture)}</g>).tap { top += picture['height'] + GAP }
        end
        frame([0, 0, width, top - GAP], bodies)
      end

      private

      def frame(box, bodies)
        x, y, width, height = box.map { |value| value.round(1) }
        <<~SVG
          <?xml version="1.0" encoding="UTF-8"?>
          <svg xmlns="http://www.w3.org/2000/svg" width="#{width}" height="#{height}" viewBox="#{x} #{y} #{width} #{height}" font-family="#{FAMILY}">
          <title>#{escaped(@title)}</title>
          <rect x="#{x}" y="#{y}" width="#{width}" height="#{height}" fill="#{PAPER}"/>
          #{bodies.join("\n")}
          </svg>
        SVG
      end

      # Reads upwards at the end of its wire.
      def flag(flag, page)
        at, anchor = flag.at == :top ? [page.top - 5, 'start'] : [page.bottom + 5, 'end']
        words = text(flag.words, 0, 0, size: 10, anchor: anchor)
        %(<g transform="translate(#{(flag.x + 3.5).round(1)} #{at.round(1)}) rotate(-90)">#{words}</g>)
      end

      def body(picture)
        head = picture['label'] ? [text(picture['label'], 30, 20, size: 18, weight: 700)] : []
        [*zones(picture), *wires(picture), *parts(picture), *words(picture), *head].join("\n")
      end

      def zones(picture)
        keys = picture['zones'].map { |zone| zone['key'] }.uniq
        picture['zones'].map do |zone|
          patch = %(<rect #{box(zone)} rx="8" fill="#{ZONES[keys.index(zone['key']) % ZONES.size]}"/>)
          zone['label_at'] ? patch + text(zone['label'], *zone['label_at'], size: SIZES[:pin], fill: QUIET) : patch
        end
      end

      def wires(picture)
        picture['wires'].map do |wire|
          path = %(d="#{rounded(wire['points'])}" fill="none")
          next %(<path #{path} stroke="#{QUIET}" stroke-width="1.2" stroke-dasharray="3 3"/>) if wire['wire'].nil?

          strokes(wire).map do |colour, width, dash|
            %(<path #{path} stroke="#{colour}" stroke-width="#{width}"#{%( stroke-dasharray="#{dash}") if dash}/>)
          end.join
        end
      end

      # A dark edge, the colour in it, its tracer in dashes.
      def strokes(wire)
        colour, tracer = Wattomneum::Circuits::Drawing::WireColours.of(wire['colour'])
        more = wire['thick'] ? 2 : 0
        [[wire['colour'] ? '#3a362f' : '#8a8478', 4.2 + more], [colour || NO_COLOUR, 2.8 + more], *([[tracer, 1.8 + (more / 2), '7 7']] if tracer)]
      end

      def parts(picture)
        picture['parts'].map do |part|
          shapes = part['shapes'].map { |shape| %(<path d="#{shape['d']}" #{LOOKS.fetch(shape['look'])}/>) }
          names = part['words'].map do |word|
            name = word['look'] == 'name'
            text(word['text'], word['x'], word['y'], size: SIZES[name ? :name : :pin], anchor: word['anchor'], weight: name ? 700 : 500,
                 own: name && part['own'], fill: part['kind'] == 'body' ? PAPER : INK)
          end
          %(<g transform="translate(#{part['x']} #{part['y']})">#{shapes.join}#{names.join}</g>)
        end
      end

      def words(picture)
        labelled(picture['parts']).flat_map { |part| part_label(part['label'], own: part['own']) } +
          labelled(picture['wires']).flat_map { |wire| wire_label(wire['label'], own: wire['own']) }
      end

      def labelled(things) = things.select { |one| one['label'] }

      def part_label(label, own:)
        label['lines'].each_with_index.map do |line, index|
          text(line, label['x'] + 3, label['y'] + (14 * index) + 11, size: SIZES[:name], weight: index.zero? ? 700 : 500, own: own)
        end
      end

      def wire_label(label, own:)
        label['lines'].each_with_index.map do |line, index|
          next text(line, label['x'] + 2, label['y'] + 10.5 + (13 * index), size: SIZES[:wire], own: own) unless label['turned']

          x, y = [label['x'] + 10.5 + (13 * index), label['y'] + label['height'] - 2].map { |at| at.round(1) }
          %(<g transform="translate(#{x} #{y}) rotate(-90)">#{text(line, 0, 0, size: SIZES[:wire], own: own)}</g>)
        end
      end

      # What a unit has otherwise is underlined.
      def text(words, x, y, size:, anchor: 'start', weight: 500, fill: INK, own: false)
        at = %(x="#{x.round(1)}" y="#{y.round(1)}" font-size="#{size}" font-weight="#{weight}" fill="#{fill}")
        look = [(%( text-anchor="#{anchor}") unless anchor == 'start'), (' text-decoration="underline"' if own)].join
        %(<text #{at}#{look}>#{escaped(words)}</text>)
      end

      def box(at) = at.values_at('x', 'y', 'width', 'height').zip(%w[x y width height]).map { |value, name| %(#{name}="#{value.round(1)}") }.join(' ')
      def escaped(words) = words.to_s.encode(xml: :text)

      # Corners of wires are rounded, as wires are.
      def rounded(points)
        points.each_with_index.map do |point, index|
          next "M#{at(point)}" if index.zero?
          next "L#{at(point)}" if index == points.size - 1

          "L#{at(toward(point, points[index - 1]))}Q#{at(point)} #{at(toward(point, points[index + 1]))}"
        end.join
      end

      def toward(from, to)
        apart = Math.hypot(to[0] - from[0], to[1] - from[1])
        share = apart.zero? ? 0 : [CORNER, apart / 2].min / apart
        from.zip(to).map { |here, there| here + ((there - here) * share) }
      end

      def at(point) = point.map { |value| value.round(1) }.join(' ')

      CORNER = 5.0
      private_constant :CORNER
    end
  end
end
