# frozen_string_literal: true

RSpec.describe Wattomneum::Units::Vocabulary do
  def said(text, **facts) = described_class.new(series_pair(**facts)).call(text)

  it 'leaves the words of an ordinary unit alone' do
    expect(described_class.new(parallel_pair)).to be_usual
    expect(said('Red on the positive post, black on the starter case')).to eq('Red on the positive post, black on the starter case')
  end

  it 'speaks of live and grounded post on a positive ground, and turns the leads' do
    expect(said('Red on the positive post itself, black on the negative post.', grounding: 'positive'))
      .to eq('Black on the live post itself, red on the grounded post.')
    expect(said('Starter disabled, key out, battery negative off before a bar', grounding: 'positive')).to include('grounded post off before')
    expect(said('ring of wire 5 on G2 to clamp of wire 5 on BAT_A:-', grounding: 'positive')).to end_with('on BAT_A grounded post')
  end

  it 'knows no test, caution, place or sentence of a positive ground that still says positive or negative' do
    words = described_class.new(series_pair(grounding: 'positive'))
    texts = Wattomneum::Readings::Catalogue::ALL.flat_map { |test| [test.label, test.short, test.how(series_pair)] } +
            Wattomneum::Safety::Cautions::BY_ID.except('positive_ground', 'insulated_return').values.map(&:text) +
            Wattomneum::Circuits::Roles::ALL.map(&:label) + Wattomneum::Evidence::Findings::SENTENCES.values
    # The end of a battery is what it is, whatever is grounded.
    expect(texts.map { |text| words.call(text).sub('positive end', '') }.grep(/positive|negative/i)).to eq([])
  end

  it 'has no case to read against where a cable leads back, and no alternator where a converter charges' do
    expect(said('Red on bare metal of the starter case, black on the negative post', grounding: 'insulated'))
      .to eq("Red on the starter's negative stud, black on the negative post")
    expect(said('Alternator output terminal, engine stopped', regulator: 'dc_dc')).to eq('Converter output terminal, engine stopped')
    expect(said('Excitation terminal, key on, under a lamp', regulator: 'dc_dc')).to eq('Enable terminal, key on, under a lamp')
  end
end
