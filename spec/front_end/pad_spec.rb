# frozen_string_literal: true

RSpec.describe 'What stands on the pad' do
  include FrontEndModules::Rules

  def test(**about) = { key: 'ground_drop', quantity: 'voltage', cells: 1, units: %w[V mV], state: 'cranking', instrument: 'meter', **about }
  def entry(draft, **about) = ruled('return web.pad.entryFrom({ ...web.pad.EMPTY_DRAFT, ...given[0] }, given[1], "1")', draft, test(**about))

  it 'is sent as it was typed, in the state, with the instrument and the unit of the test where nothing else was said' do
    expect(entry({ text: '0,06', said: { tested_alone: 'yes', hours_rested: '' } }))
      .to eq(id: '1', state: 'cranking', instrument: 'meter', conditions: { tested_alone: 'yes' }, value_text: '0,06', unit: 'V')
    expect(entry({ text: '60', unit: 'mV', state: 'idle',
instrument: 'scope' })).to include(state: 'idle', instrument: 'scope', value_text: '60', unit: 'mV')
  end

  it 'is what was seen, or one figure for each cell, where the test asks for that' do
    expect(entry({ text: '5', observation: 'click' }, quantity: 'observation')).to include(observation: 'click').and not_include(:value_text)
    expect(entry({ cells: ['1,26', nil, '1,25'] }, cells: 4)).to include(cells_text: ['1,26', '', '1,25', '']).and not_include(:value_text)
  end

  def together(typed, *tests) = ruled('return web.pad.togetherFrom({ ...web.pad.EMPTY_DRAFT, together: given[0] }, given[1])', typed, tests)

  it 'leaves out what was not read of an act, and sends the rest under the id that it has' do
    typed = { posts: { id: 'a', text: '11,2', unit: nil, confirmed: false }, stud: { id: 'b', text: ' ', unit: 'V', confirmed: false },
              case: { id: 'c', text: '60', unit: 'mV', confirmed: true }, gone: { id: 'd', text: '1', unit: nil, confirmed: false } }
    expect(together(typed, test(key: 'posts'), test(key: 'stud'), test(key: 'case')))
      .to eq([{ id: 'a', test_key: 'posts', value_text: '11,2', unit: 'V' },
              { id: 'c', test_key: 'case', value_text: '60', unit: 'mV', conditions: { value_confirmed: 'yes' } }])
  end

  it 'keeps the id of another reading of the act while it is typed' do
    ids = ruled(<<~JS)
      const one = web.pad.withTogether(web.pad.EMPTY_DRAFT, 'posts', { text: '1' })
      const two = web.pad.withTogether(one, 'posts', { text: '11' })
      const three = web.pad.withTogether(two, 'stud', { text: '9' })
      return [one, two, three].map((draft) => draft.together.posts.id).concat(three.together.stud.id, three.together.posts.text)
    JS
    expect(ids.first(3).uniq.size).to eq(1)
    expect(ids.last(2)).to match([satisfy { |id| id != ids.first }, '11'])
  end

  it 'takes an answer about an odd value where it was asked: confirmed, or as it was meant' do
    told = lambda { |question, value|
      ruled('return web.answered({ ...web.pad.EMPTY_DRAFT, text: "12300", unit: "mV" }, given[0], given[1])', question, value)
    }
    expect(told.call({ base_unit: 'V' }, nil)).to include(text: '12300', unit: 'mV', said: { value_confirmed: 'yes' })
    expect(told.call({ base_unit: 'V' }, 12.3)).to include(text: '12.3', unit: 'V', said: {})
    expect(told.call({ base_unit: 'V', test_key: 'posts' },
                     12.3)).to match(a_hash_including(text: '12300', together: { posts: a_hash_including(text: '12.3', unit: 'V') }))
    expect(told.call({ base_unit: 'V', test_key: 'posts' },
                     nil)).to match(a_hash_including(said: {}, together: { posts: a_hash_including(confirmed: true) }))
  end

  it 'says what a sound circuit shows between two points, or why nobody can say' do
    said = ruled('return given[0].map((expected) => web.pad.expectedWords({ expected }))',
                 [{ shown: '12.4 V', limit: 'at least 12 V' }, { shown: '12.4 V', limit: nil }, { shown: nil },
                  { shown: '1 V', objection: 'Pull the fuse first' }])
    expect(said).to eq(['A sound circuit shows 12.4 V, at least 12 V', 'A sound circuit shows 12.4 V', nil, 'Pull the fuse first'])
  end
end
