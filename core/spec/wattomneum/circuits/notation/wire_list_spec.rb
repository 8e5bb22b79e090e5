# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Notation::WireList do
  def rows(text) = described_class.parse(text).rows.map(&:fields)

  it 'reads commas, semicolons and tabs, with decimal points or commas' do
    expected = [{ 'number' => '1', 'from' => 'BAT:+', 'to' => 'F1:1', 'mm2' => 2.5 }]
    expect(rows("number,from,to,mm2\n1,BAT:+,F1:1,2.5\n")).to eq(expected)
    expect(rows("number;from;to;mm2\n1;BAT:+;F1:1;2,5\n")).to eq(expected)
    expect(rows("number\tfrom\tto\tmm2\n1\tBAT:+\tF1:1\t2,5\n")).to eq(expected)
  end

  it 'reads the encodings of table programs: UTF-8 with its mark, and Windows-1252' do
    expect(rows("\xEF\xBB\xBFnumber,from,to,colour\n1,A,B,br\u00FCn\n").first['colour']).to eq('brün')
    expect(rows("number;from;to;colour\n1;A;B;br\xFCn\n".b).first['colour']).to eq('brün')
  end

  it 'passes over empty lines and empty cells, and takes columns in any order and case' do
    expect(rows("TO,Number,from,colour\nB,1,A,\n,,,\n\nD,2,C,red\n")).to eq([{ 'number' => '1', 'from' => 'A', 'to' => 'B' },
                                                                             { 'number' => '2', 'from' => 'C', 'to' => 'D', 'colour' => 'red' }])
  end

  it 'knows the line and the column of every cell' do
    row = described_class.parse("number,from,to\n1,A,B\n2,C,D\n").rows.last
    expect([row.place.call('number'), row.place.call('to')]).to eq([[3, 1], [3, 3]])
  end

  it 'leaves text in a number for the objection to quote' do
    expect(rows("number,from,to,length_m\n1,A,B,three\n").first['length_m']).to eq('three')
  end

  it 'objects to columns it does not know, to missing ones, to quotes that do not close and to size' do
    problems = ->(text) { described_class.parse(text).problems.map(&:message) }
    expect(problems.call("number,from,to,flavour\n")).to eq(['column "flavour" is none of a wire list'])
    expect(problems.call("number,to\n")).to eq(['the first line has no column "from"'])
    expect(problems.call("number,from,to\n1,\"A,B\n")).to eq(['the quotes do not close'])
    expect(problems.call("number,from,to\n#{'x' * 2_100_000}")).to eq(['larger than 2 MB'])
  end

  it 'writes what it reads, joints and metal by the component\'s name alone' do
    sheet = Wattomneum::Circuits::Library.fetch('start_12v')
    text = described_class.write(sheet.wires)
    expect(text).to include("\n10,S1:2,ST1,red,16,", "\nstrap,BLOCK,FRAME,")
    expect(rows(text).size).to eq(sheet.wires.size)
  end

  it 'takes as many bytes as it says' do
    most = Wattomneum::Budgets[:sheet_bytes]
    text = "number,from,to,colour\n1,A,B,"
    expect(described_class.parse(text + ('x' * (most - text.bytesize))).problems).to eq([])
    expect(described_class.parse(text + ('x' * (most - text.bytesize + 1))).problems.map(&:message)).to eq(['larger than 2 MB'])
  end

  it 'keeps what stands beyond the last column for the objection, and no empty cells' do
    found = described_class.parse("number,from,to\n1,A,B, ,late\n2,C,D,,\n").rows
    expect(found.map { |row| row.fields['surplus'] }).to eq(['late', nil])
    expect(found.first.place.call('surplus')).to eq([2, 4])
  end
end
