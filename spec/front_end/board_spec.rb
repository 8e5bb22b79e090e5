# frozen_string_literal: true

RSpec.describe 'A line of the board' do
  include FrontEndModules::Rules

  let(:nothing) do
    { batteries: nil, charging: nil, path: nil, cold: nil, grounds: nil, faults: { count: 0, again: nil },
      open: { jobs: 0, held: false, watched: false, temporary: false } }
  end
  let(:read) do
    { batteries: { percent: 62, verdict: 'act', on: '2026-10-22', yearly_percent: -18, untested: 1, least_percent: 60 },
      charging: { volt: 13.9, low_volt: 13.8, high_volt: 14.7, blocks: 1, verdict: 'sound', on: '2025-11-24', yearly_volt: -0.23 },
      path: { feed_milliohm: 1.42, return_milliohm: nil, verdict: 'watch', on: '2026-11-19' },
      cold: { celsius: -12, spread_celsius: 3, tested: false, mended_since: false },
      grounds: { milliohm: 0.4, on: '2026-01-02', due_on: '2026-07-02', due: true },
      faults: { count: 3, again: 'Fuel pump relay' }, open: { jobs: 2, held: true, watched: false, temporary: true } }
  end

  def words(standing)
    ruled('return web.board.FACTS.map((fact) => { const read = fact.of(given[0]); return read ? [read.figure, read.note] : fact.never })', standing)
  end

  it 'says what was never read, and names no figure' do
    expect(words(nothing)).to eq(['never tested', 'never read', 'never read', 'not known', 'never read', 'none'])
    expect(ruled('return web.board.worstOf(given[0]).length', nothing)).to eq(0)
  end

  it 'says figures with their units, which way they go, and when they were read' do
    expect(words(read).map { |figure, note| [figure, note.sub(/\A(\d+ )?\w+ 202\d/, 'day')] })
      .to eq([['62 %, −18 a year', '22 Oct, 1 not tested'], ['13.90 V, −0.23 a year', 'day'], ['1.4 + ? mΩ', '19 Nov'], ['−12 °C', '± 3, by labels'],
              ['0.40 mΩ', 'due since 2 Jul'], ['3', 'again: Fuel pump relay']])
  end

  it 'draws no ohms where nobody knows what flowed' do
    still = { **nothing, path: { feed_milliohm: nil, return_milliohm: nil, verdict: 'act', on: '2026-12-01' } }
    expect(words(still)[2]).to eq(['current not known', '1 Dec'])
  end

  it 'puts the two worst marks into the line of a phone, and says what is open' do
    expect(ruled('return web.board.worstOf(given[0]).map(({ fact }) => fact.key)', read)).to eq(%w[batteries path])
    expect(ruled('return web.board.openWords(given[0])', read)).to eq(['held', '2 open jobs', 'temporary repair'])
  end
end
