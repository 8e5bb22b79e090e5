# frozen_string_literal: true

require 'open3'

RSpec.describe Server::Routes::Books do
  include Drawn
  include GuideSheet

  before do
    Server::Models::Sheet.bring_in_shipped
    sign_in_as('electrician')
  end

  let(:unit) do
    a_unit(system_volt: 24, arrangement: 'series').tap do |truck|
      %w[start_24v fuel_pump].each { |key| Server::Models::UnitSheet.fit(truck, newest(key), at: Time.now.utc - 60) }
    end
  end

  def newest(key) = Server::Models::SheetVersion.newest_of(key)

  def draw(*keys)
    keys.each { |key| Server::Models::SheetDrawing.order(newest(key).content, newest(key).digest) }
    Server::Models::SheetDrawing.to_draw.exclude(digest: keys.map { |key| newest(key).digest }).delete
    Server::Workers::DrawSheets.all(Drawn::LAYOUTER)
  end

  # Read back by another program.
  def words_of(pdf) = Open3.capture2('pdftotext', '-layout', '-', '-', stdin_data: pdf, binmode: true).first.force_encoding('UTF-8')
  def pages_of(pdf) = Open3.capture2('pdfinfo', '-', stdin_data: pdf, binmode: true).first[/^Pages:\s+(\d+)/, 1].to_i

  it 'prints all sheets of a unit with contents, drawings cut into pages, every wire, and plugs from one side' do
    draw('start_24v', 'fuel_pump')
    pdf = read("/api/units/#{unit.id}/book.pdf?paper=a4&view=mating")
    expect([status, last_response.content_type]).to eq([200, 'application/pdf'])
    text = words_of(pdf)
    drawn = %w[start_24v fuel_pump].sum { |key| Server::Book::Page.of(Drawn.pictures(key).first, 'a4').size }
    expect(pages_of(pdf)).to be >= drawn + 3
    expect(text).to include(unit.number, 'Start, 24 V series pair with neutral interlock', 'Fuel pump relay with its own ground',
                            'seen into its mouth')
    expect(text).not_to include('seen from the wire side')
    %w[start_24v fuel_pump].each do |key|
      sheet = Wattomneum::Circuits::Library.fetch(key)
      rows = text.lines.map(&:split)
      missing = sheet.wires.reject do |wire|
        rows.any? do |row|
          row.first == wire.number && row.join(' ').include?(wire.to.delete_suffix(':joint').delete_suffix(':metal'))
        end
      end
      expect(missing.map(&:number)).to be_empty
    end
    named = text.scan(/^\s*Fuel pump relay with its own ground\s+(\d+)\s*$/).flatten.first.to_i
    page = Open3.capture2('pdftotext', '-f', named.to_s, '-l', named.to_s, '-', '-', stdin_data: pdf, binmode: true).first
    expect(page).to include('K11')
  end

  # Where every word stands, as another program reads the file back: text, left, top, right and bottom in points, page by page.
  def words_with_places(pdf)
    html = Open3.capture2('pdftotext', '-bbox', '-', '-', stdin_data: pdf, binmode: true).first
    Nokogiri::HTML5(html).css('page').map { |page| page.css('word').map { |word| [word.text, *%w[xmin ymin xmax ymax].map { |name| word[name].to_f }] } }
  end

  # Words that stand upright one above the other and end in "p. 3".
  def flags_of(words)
    words.each_index.select { |at| words[at].first == 'p.' && words[at + 1].first.match?(/\A\d+\z/) }.map do |at|
      words[..(at + 1)].reverse.take_while { |word| (word[1] - words[at][1]).abs < 0.1 && (word[3] - words[at][3]).abs < 0.1 }.reverse
    end
  end

  # What is cut off is what lies outside the part of the page that the drawing of it takes, from its head on.
  def drawn_until(version, number, scale)
    box = Nokogiri::XML(read("/api/circuits/#{version}/drawing.svg?paper=a4&page=#{number}")).root['viewBox'].split.map(&:to_f)
    ((Server::Book::Paper::MARGIN_MM + Server::Book::Paper::HEAD_MM) + (box.last * scale)) * Server::Book::Paper::MM
  end

  %w[ecu_power cluster speed_signal].each do |key|
    it "leads on from page to page of #{key} by flags that are whole, to the page whose head has that number and on which the named pin is" do
      draw(key)
      version = newest(key).id
      sheet = Wattomneum::Circuits::Library.fetch(key)
      pages = words_with_places(read("/api/circuits/#{version}/book.pdf?paper=a4"))
      expect(pages.each_with_index.map { |words, at| words.map(&:first).join(' ').include?("#{at + 1} of #{pages.size}") }).to all(be(true))
      scale = Drawn.pictures(key).first['cuts']['a4']['scale']
      flags = pages.each_with_index.flat_map { |words, at| flags_of(words).map { |flag| [at, flag] } }
      expect(flags.size).to be >= 6
      flags.each do |at, flag|
        number, *colour, pin, _, page = flag.map(&:first)
        wire = sheet.wire(number)
        expect([wire.colour.to_s, [wire.from, wire.to].map { |node| node.delete_suffix(':joint') }]).to match([colour.join(' '), include(pin)])
        expect(flag.map { |word| word[2] }.min).to be > (Server::Book::Paper::MARGIN_MM + Server::Book::Paper::HEAD_MM) * Server::Book::Paper::MM
        expect(flag.map(&:last).max).to be < drawn_until(version, at, scale)
        there = pages[page.to_i - 1].map(&:first)
        expect(there).to include(pin.split(':').first, number)
        expect(flags_of(pages[page.to_i - 1]).map { |back| back.map(&:first).values_at(0, -1) }).to include([number, (at + 1).to_s])
      end
    end
  end

  it 'prints one sheet on other paper, with what one unit has otherwise, and its table alone while it is not drawn' do
    Server::Models::SheetDrawing.dataset.delete
    fitted = Server::Models::UnitSheet.current.where(unit_id: unit.id, version_id: newest('fuel_pump').id).eager(:version).first
    wire = fitted.version.to_core.wires.find(&:colour)
    say_otherwise(fitted, wire, 'colour', 'pink/black')
    text = words_of(read("/api/circuits/#{fitted.id}/book.pdf?paper=a3"))
    expect(text).to include('There is no drawing of this sheet', 'pink/black', 'Seen on the machine', 'Otherwise on this unit, underlined',
                            '1 things are otherwise on this unit')
    draw('fuel_pump')
    pdf = read("/api/circuits/#{fitted.id}/book.pdf?paper=a3")
    expect(words_of(pdf)).to not_include('There is no drawing').and include('K11', "#{wire.number} pink/black")
    expect(words_of(read("/api/circuits/#{newest('fuel_pump').id}/book.pdf"))).not_to include('pink/black')
  end

  it 'gives a drawing page by page as SVG, and says how many there are' do
    draw('start_24v')
    id = newest('start_24v').id
    pages = Server::Book::Page.of(Drawn.pictures('start_24v').first, 'a4')
    files = (1..pages.size).map { |page| read("/api/circuits/#{id}/drawing.svg?paper=a4&page=#{page}") }
    expect(files.map { |file| Open3.capture2e('xmllint', '--noout', '-', stdin_data: file).last.success? }).to all(be(true))
    flags = files.map { |file| Nokogiri::XML(file).css('text').map(&:text).grep(/p\. \d/) }
    expect(flags).to match([include(match(/p\. 2\z/)), include(match(/p\. 1\z/)), *([anything] * (pages.size - 2))])
    expect([read("/api/circuits/#{id}/drawing.svg?paper=a4&page=9")['error']['message'],
            status]).to eq(["This drawing has #{pages.size} pages of that paper", 404])
  end

  it 'prints a job to lie beside the work: complaint, what to do next with its cautions, readings with their verdicts, the drawing it is about' do
    draw('start_24v')
    job = open_job(unit, complaint: 'Cranks slowly since Monday')
    text = words_of(read("/api/jobs/#{job['id']}/page.pdf"))
    expect(text).to include("Job #{job['number']}", 'Cranks slowly since Monday', "Next: #{job['next_step']['title']}", 'K1', 'Readings')
    cautions = job['next_step']['cautions'].map { |caution| caution['text'][0, 40] }
    expect(cautions.reject { |caution| text.gsub(/\s+/, ' ').include?(caution) }).to be_empty
  end

  # What docs/writing-a-sheet.md says, done by the book: written from nothing, published, drawn and printed.
  it 'prints the sheet that the guide writes from nothing' do
    written = guide_draft
    draft = write(:post, '/api/drafts', { id: SecureRandom.uuid, key: 'start_telehandler', title: 'Start, telehandler', system_volt: 12 })
    write(:put, "/api/drafts/#{draft['id']}/head", { head_version: 1, more: written.more })
    rows = written.rows.map { |row| { item_uuid: row.uuid, kind: row.kind, row_version: 0, typed: row.typed } }
    draft = write(:put, "/api/drafts/#{draft['id']}/rows", { rows: rows })
    expect(draft['wrong'] + draft['rows'].flat_map { |row| row['wrong'] }).to be_empty
    version = write(:post, "/api/drafts/#{draft['id']}/publication", {})['version_id']
    draw('start_telehandler')
    text = words_of(read("/api/circuits/#{version}/book.pdf"))
    expect(text).to include('Start, telehandler', 'K2', 'Starter solenoid', 'X1 half b, Cab plug: seen from the wire side')
    expect(written.rows.select { |row| row.kind == 'wire' }.map { |row| row.typed['number'] } - text.split).to be_empty
  end

  it 'refuses a paper and a side that there are not, what is not there, and prints one book at a time' do
    id = newest('start_24v').id
    expect(read("/api/circuits/#{id}/book.pdf?paper=a5&view=back")['error']['fields'].keys).to eq(%w[paper view])
    read("/api/units/#{SecureRandom.uuid}/book.pdf")
    expect(status).to eq(404)
    Server::Book::Press.print { expect([read("/api/circuits/#{id}/book.pdf")['error']['code'], status]).to eq(['in_line', 503]) }
  end
end
