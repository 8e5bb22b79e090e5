# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Notation::LocatedYaml do
  def document(text) = described_class.new(text)

  it 'reads numbers, truth values, lists and names, and keeps quoted text as text' do
    content = document("a: 12\nb: 12.5\nc: \"12\"\nd: [x, true, 0.5]\ne: ~\nf: 007\ng: -3").content
    expect(content).to eq('a' => 12, 'b' => 12.5, 'c' => '12', 'd' => ['x', true, 0.5], 'e' => nil, 'f' => '007', 'g' => -3)
  end

  it 'knows line and column of every value, in block and in flow' do
    read = document("wires:\n  - { number: 1, from: BAT:+ }\n  - number: 2\n    from: F1:1\n")
    expect(read.place(['wires', 0, 'from'])).to eq([2, 24])
    expect(read.place(['wires', 1, 'from'])).to eq([4, 11])
  end

  it 'gives the nearest value above for one that is missing' do
    read = document("top:\n  - { a: 1 }\n")
    expect(read.place(['top', 0, 'nothing'])).to eq(read.place(['top', 0]))
    expect(read.place(%w[elsewhere entirely])).to eq([1, 1])
  end

  it 'keeps words that other readers turn into something else: yes, no, on, off, times and dates' do
    expect(document("a: yes\nb: off\nc: 12:30\nd: 2026-11-24\ne: 1e3").content.values).to eq(%w[yes off 12:30 2026-11-24 1e3])
  end

  { "a: &x 1\nb: *x" => 'aliases are not read', "a: 1\na: 2" => 'stands here twice', 'a: [1, 2' => 'not readable as YAML', '' => 'empty',
    'a: !ruby/regexp /x/' => 'tags like' }.each do |text, words|
    it("refuses #{text.inspect}") { expect(document(text).problems.map(&:message)).to include(include(words)) }
  end

  # A chain of aliases that would unfold to billions of values is refused at the first alias, in no time.
  it 'never unfolds a bomb' do
    bomb = +"a: &a [x, x, x, x, x, x, x, x, x]\n"
    ('b'..'i').each_cons(1) { |(name)| bomb << "#{name}: &#{name} [#{(['*a'] * 9).join(', ')}]\n" }
    expect(document(bomb).problems.size).to eq(72)
  end
end
