# frozen_string_literal: true

RSpec.describe 'A request and its reply' do
  include FrontEndModules::Rules

  # RFC 9110, 15: what a status says of whether it was done.
  it 'has a fate by its status, and by what our own server says of it' do
    replies = { 'unknown' => [[0], [408], [500], [502], [504]], 'signedOut' => [[401]], 'later' => [[429], [503]],
                'conflict' => [[409, 'edit_conflict']], 'saved' => [[409, 'id_taken'], [422, 'not_shown']],
                'refused' => [[400], [403], [404], [409, 'closed'], [422], [500, 'our_fault']] }
    replies.each do |fate, statuses|
      told = ruled('return given[0].map(([status, code]) => web.fateOf({ status, code }))', statuses)
      expect(told).to all(eq(fate)), "#{statuses} #{told}"
    end
  end

  # RFC 9110, 13.1.2: a tag goes along, and 304 means the copy that is here.
  it 'of a page comes over the network only when that changed, and of nothing else' do
    said = ruled(<<~JS)
      const asked = []
      const ask = web.askOnce(async (request) => {
        asked.push(`${request.method} ${new URL(request.url).pathname} ${request.headers.get('if-none-match')}`)
        if (request.headers.get('if-none-match') === 'one') return new Response(null, { status: 304 })
        const status = request.url.endsWith('/gone') ? 404 : 200
        return new Response(`body ${asked.length}`, { status, headers: { etag: 'one' } })
      })
      const bodies = []
      for (const [path, method] of [['/a', 'GET'], ['/a', 'GET'], ['/a', 'GET'], ['/gone', 'GET'], ['/gone', 'GET'], ['/a', 'POST']])
        bodies.push(await (await ask(new Request(`http://here.example${path}`, { method }))).text())
      return { asked, bodies }
    JS
    expect(said[:asked]).to eq(['GET /a null', 'GET /a one', 'GET /a one', 'GET /gone null', 'GET /gone null', 'POST /a null'])
    expect(said[:bodies]).to eq(['body 1', 'body 1', 'body 1', 'body 4', 'body 5', 'body 6'])
  end

  it 'of the oldest page is forgotten when twenty others came' do
    asked = ruled(<<~JS)
      const tags = []
      const ask = web.askOnce(async (request) => {
        tags.push(request.headers.get('if-none-match'))
        return new Response('x', { status: 200, headers: { etag: request.url } })
      })
      for (let page = 0; page <= 20; page += 1) await ask(new Request(`http://here.example/${page}`))
      for (const page of [20, 1, 0]) await ask(new Request(`http://here.example/${page}`))
      return tags.slice(-3).map((tag) => tag !== null)
    JS
    expect(asked).to eq([true, true, false])
  end

  describe 'of a unit' do
    let(:stored) do
      { number: 'B-15', name: 'Crew bus', kind: 'bus', yard_id: 'y1', system_volt: 24, arrangement: 'series', battery_count: 2,
        usual_cranking_current_ampere: 640.5, alternator_rating_ampere: nil, has_isolator: true, has_sense: false, regulator: 'internal',
        neutral_interlock: false, grounding: 'negative', has_equaliser: true, heat_aid: true, control_unit: false, automatic_start: false,
        matters: 'usual', exposure: 'dry', make: nil, model: 'T9' }
    end

    def changed(**fields) = ruled('return web.unitFields.toInput({ ...web.unitFields.fromSheet(given[0]), ...given[1] })', stored, fields)

    it 'says what is stored when nothing was typed' do
      expect(changed.slice(*stored.keys)).to eq(stored)
    end

    it 'says what was typed, an equaliser only where there is a middle, and volts for a draft that says none' do
      expect(changed(usual_cranking_current_ampere: '700,5', alternator_rating_ampere: 'many', make: 'Own'))
        .to include(usual_cranking_current_ampere: 700.5, alternator_rating_ampere: 'many', make: 'Own')
      expect(changed(bank: 'parallel-2-12')).to include(arrangement: 'parallel', battery_count: 2, system_volt: 12, has_equaliser: false)
      expect([changed(bank: 'series-2'), changed(bank: 'single-1')].map { |one| one[:system_volt] }).to eq([24, 12])
    end

    it 'names where two people differ, and takes of each line what was chosen' do
      theirs = stored.merge(name: 'Bus of the crew', has_sense: true, yard_id: 'y2')
      unlike = ruled('return web.unitFields.unlike(web.unitFields.fromSheet(given[0]), given[1], (id) => `Yard ${id}`)', stored, theirs)
      expect(unlike).to eq([{ field: 'name', label: 'Name', mine: 'Crew bus', theirs: 'Bus of the crew' },
                            { field: 'yard_id', label: 'Yard', mine: 'Yard y1', theirs: 'Yard y2' },
                            { field: 'has_sense', label: 'Sense wire', mine: 'no', theirs: 'yes' }])
      made = ruled('return web.unitFields.merged(web.unitFields.fromSheet(given[0]), given[1], given[2])', stored, theirs,
                   { name: 'mine', yard_id: 'theirs' })
      expect(made).to include(name: 'Crew bus', yard_id: 'y2', has_sense: true, bank: 'series-2-24')
    end
  end
end
