# frozen_string_literal: true

# Every sheet that ships as it is drawn, checked against what the sheet says and against its own boxes: not against how it was drawn.
RSpec.describe Server::Layouter do
  library = Wattomneum::Circuits::Library

  def runs(wire) = wire['points'].each_cons(2).to_a
  def level?(((_, from), (_, to))) = (from - to).abs < 0.06
  def upright?(((from, _), (to, _))) = (from - to).abs < 0.06

  def over?(one, other, slack = 1.0)
    %w[x width y height].each_slice(2).all? { |at, size| one[at] + slack < other[at] + other[size] && other[at] + slack < one[at] + one[size] }
  end

  # Pieces of two wires that lie on each other: nobody can tell which is which.
  def on_each_other(wires)
    pieces = wires.flat_map { |wire| runs(wire).map { |piece| [wire['number'], piece.transpose.map(&:minmax)] } }
    pieces.combination(2).select do |(one, spans), (other, others)|
      one != other && spans.zip(others).any? { |(from, to), (low, high)| (from - low).abs < 1 && to - from < 1 && high - low < 1 } &&
        spans.zip(others).any? { |(from, to), (low, high)| [to, high].min - [from, low].max > 1.5 }
    end
  end

  library.keys.each do |key| # rubocop:disable Style/HashEachMethods -- no hash
    describe "of #{key}" do
      let(:sheet) { library.fetch(key) }
      let(:picture) { Drawn.pictures(key).first }
      let(:wires) { picture['wires'].select { |wire| wire['wire'] } }
      let(:boxes) { picture['parts'].map { |part| part.slice('x', 'y', 'width', 'height') } }
      let(:words) { picture['parts'].filter_map { |part| part['label'] } + wires.filter_map { |wire| wire['label'] } }

      it 'shows every wire once, from its own pin to its own pin, upright or level all the way' do
        expect(wires.map { |wire| wire['wire'] }.sort).to eq(sheet.wires.map(&:uuid).sort)
        ends = picture['parts'].flat_map { |part| part['ports'] }.group_by { |port| port['wire'] }
        off = wires.reject do |wire|
          drawn = sheet.wire(wire['number'])
          pins = ends[wire['wire']]
          next [drawn.from, drawn.to].all? { |node| sheet.part(node.split(':').first).kind == 'body' } if pins.nil?

          pins.map { |pin| pin['pin'] }.sort == [drawn.from, drawn.to].sort &&
            pins.map { |pin| pin.values_at('x', 'y') }.sort == wire['points'].values_at(0, -1).sort
        end
        expect(off.map { |wire| wire['number'] }).to be_empty
        expect(wires.flat_map { |wire| runs(wire) }.reject { |run| level?(run) || upright?(run) }).to be_empty
      end

      it 'shows every part that a wire ends on, none over another' do
        wired = sheet.wires.flat_map { |wire| [wire.from, wire.to] }.map { |node| node.split(':').first }
        expect(picture['parts'].filter_map { |part| part['part'] }.uniq.sort).to eq(wired.uniq.sort)
        expect(boxes.combination(2).select { |one, other| over?(one, other) }).to be_empty
      end

      it 'leads no wire over another or through an outline' do
        expect(on_each_other(wires)).to be_empty
        # On a line the wires run into the dot itself.
        dots, outlines = picture['parts'].partition { |part| %w[splice stud].include?(part['kind']) }
        crossed = lambda do |run, parts|
          (left, right), (top, foot) = run.transpose.map(&:minmax)
          parts.any? { |part| over?({ 'x' => left, 'width' => right - left, 'y' => top, 'height' => foot - top }, part, 1.5) }
        end
        through = wires.reject do |wire|
          others = dots.reject { |dot| dot['ports'].any? { |port| port['wire'] == wire['wire'] } }
          runs(wire).none? { |run| crossed.call(run, outlines + others) }
        end
        expect(through.map { |wire| wire['number'] }).to be_empty
      end

      it 'lets no words lie on words or on an outline, and names every wire' do
        expect(words.combination(2).select { |one, other| over?(one, other) }).to be_empty
        expect(words.select { |word| boxes.any? { |box| over?(word, box) } }).to be_empty
        expect(wires.reject { |wire| wire['label']['lines'].join(' ').split.first == wire['number'] }).to be_empty
      end

      it 'is cut into pages through no part, that hold all of it and are no longer than the paper' do
        { 'a4' => 180, 'a3' => 267, 'a4_upright' => 267, 'a3_upright' => 390 }.each do |paper, high_mm|
          scale, pages = picture['cuts'].fetch(paper).values_at('scale', 'pages')
          expect(pages.map { |page| page['top'] }).to eq([0, *pages.map { |page| page['bottom'] }[0...-1]])
          expect(pages.last['bottom']).to be_within(5).of(picture['height'])
          # A cut takes room at the foot of one page and at the head of the next: there stands where its wires go on.
          expect(pages.map { |page| page['above'] }).to eq([0, *pages.map { |page| page['below'] }[0...-1]])
          used = pages.map { |page| (page['above'] + page['bottom'] - page['top'] + page['below']) * scale }
          expect(used.max).to be <= high_mm + 0.5
          cut = pages[0...-1].map { |page| page['bottom'] }.select do |at|
            boxes.any? do |box|
              at > box['y'] + 1 && at < box['y'] + box['height'] - 1
            end
          end
          expect(cut).to be_empty, "#{paper}: #{cut}"
        end
      end

      it 'leads from every pin up to where nothing feeds it any more' do
        ports = picture['parts'].flat_map { |part| part['ports'] }.to_h { |port| [port['id'], port] }
        lost = ports.keys.select do |id|
          seen = [id]
          while (up = ports.fetch(seen.last)['up'])
            break if seen.include?(up)

            seen << up
          end
          up
        end
        expect(lost.size).to be <= ports.size / 5
      end
    end
  end

  # The study that found these options came to 12 crossings on the largest sheet; as its wires are written it had 191.
  it 'crosses few wires' do
    spans = Drawn.pictures('ecu_power').first['wires'].flat_map { |wire| runs(wire).map { |run| [wire['number'], run.transpose.map(&:minmax)] } }
    crossed = spans.combination(2).count do |(one, ((left, right), (top, foot))), (other, ((low, high), (from, to)))|
      one != other && [left, low].max + 0.1 < [right, high].min + 0.2 && [top, from].max + 0.1 < [foot, to].min + 0.2 &&
        (right - left > 1) != (high - low > 1)
    end
    expect(crossed).to be <= 20
  end

  # By hand: from R1 over three places and a plug to R2, both lines level all the way, modules above or below.
  it 'draws a data line from end to end, its modules above and below' do
    picture = Drawn.pictures('bus_backbone').first
    at = picture['parts'].to_h { |part| [part['part'], part] }
    along = %w[R1 SP20 X21 SP22 SP24 R2].map { |id| at.fetch(id)['x'] }
    expect(along).to eq(along.sort)
    level = picture['wires'].select { |wire| %w[H1 H4 H5 H7 H10].include?(wire['number']) }.flat_map { |wire| wire['points'].map(&:last) }
    expect(level.uniq.size).to eq(1)
    sides = %w[U10 U11 U12 U13 X20].map { |id| at.fetch(id)['y'] <=> level.first }
    expect(sides.tally).to eq(1 => 3, -1 => 2)
  end
end
