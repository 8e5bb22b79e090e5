# frozen_string_literal: true

# RFC 4180 (comma-separated values): lines, quotes that hold commas, line ends and doubled quotes.
RSpec.describe Wattomneum::Circuits::Notation::TableText do
  def read(text) = described_class.new(text)
  def cells(text) = read(text).rows.map(&:cells)

  it 'reads quoted cells with commas, line ends and quotes in them' do
    expect(cells(%(a,b\n"1, 2","say ""on"""\n"two\nlines",x\n))).to eq([['1, 2', 'say "on"'], ["two\nlines", 'x']])
    expect(cells("a,b\r\n1,2\r\n")).to eq([%w[1 2]])
  end

  it 'takes the mark that the first line has most of, or the one that it says' do
    expect(read("a;b;c\n1,5;2;3").headings).to eq(%w[a b c])
    expect(read("a\tb\n1;2\t3").headings).to eq(%w[a b])
    expect(read("sep=|\na|b\n1|2").then { |table| [table.headings, table.rows.first.cells, table.rows.first.line] }).to eq([%w[a b], %w[1 2], 3])
  end

  it 'leaves out empty rows, and knows in which line each stands' do
    table = read("a,b\n1,2\n , \n\n3,4\n")
    expect(table.rows.map { |row| [row.cells.first, row.line] }).to eq([['1', 2], ['3', 5]])
  end

  it 'reads letters of Windows, of UTF-16 in both orders, and after a byte order mark' do
    text = "Farbe,Größe\n1,2\n"
    wide = { 'UTF-16LE' => "\xFF\xFE".b, 'UTF-16BE' => "\xFE\xFF".b }.map { |name, mark| mark + text.encode(name).b }
    written = [text, text.encode('Windows-1252').b, "\uFEFF#{text}", *wide]
    expect(written.map { |one| read(one.dup.force_encoding('UTF-8')).headings }).to all(eq(%w[Farbe Größe]))
  end

  it 'has no headings where there is nothing, and says where quotes do not close' do
    expect([read('').headings, read('').rows]).to eq([[], []])
    expect { read("a,b\n1,2\n\"3,4\n") }.to raise_error(CSV::MalformedCSVError) { |error| expect(error.line_number).to eq(3) }
  end
end
