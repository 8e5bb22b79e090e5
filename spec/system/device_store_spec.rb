# frozen_string_literal: true

# The rules by which the device keeps what is typed, where no hand is quick enough: two changes at once, two tabs, a page that goes between two
# steps, a server that says each thing that one can say.
RSpec.describe 'The store of the device', :only_looks do
  include DeviceStore

  before do
    blank_page
    told('await store.openStore(7)')
  end

  # A device without room: said, and the text is there when it takes it again.
  def expect_word_of_a_full_device
    expect(told(<<~JS)).to eq([false, true, ['12.4: draft'], []])
      window.put = IDBObjectStore.prototype.put
      IDBObjectStore.prototype.put = () => { throw new DOMException('no room', 'QuotaExceededError') }
      const kept = await store.keep(typed('12.4'))
      return [kept, store.storeRefuses(), here(), await onDevice()]
    JS
    expect(told(<<~JS)).to eq([true, false, ['12.45: draft']])
      IDBObjectStore.prototype.put = window.put
      const kept = await store.keep({ ...store.unsent()[0], value: { text: '12.45' } })
      return [kept, store.storeRefuses(), await onDevice()]
    JS
    # One that is closed under the page is opened once more.
    expect(told(<<~JS)).to eq([1, true, ['12.5: draft']])
      let thrown = 0
      IDBObjectStore.prototype.put = function (...all) {
        if (thrown === 0) { thrown += 1; throw new DOMException('closed', 'InvalidStateError') }
        return window.put.apply(this, all)
      }
      const kept = await store.keep({ ...store.unsent()[0], value: { text: '12.5' } })
      return [thrown, kept, await onDevice()]
    JS
    # What goes out outlives a battery that dies; a letter of a draft need not wait for that.
    expect(told(<<~JS)).to eq(%w[relaxed strict])
      IDBObjectStore.prototype.put = window.put
      const asked = []
      const transaction = IDBDatabase.prototype.transaction
      IDBDatabase.prototype.transaction = function (names, mode, options) { asked.push(options?.durability); return transaction.call(this, names, mode, options) }
      await disk.write(typed('a'))
      await disk.write(waits('b'))
      return asked
    JS
  end

  # Of what closed tabs left the newest is gone on with, this tab's own before it.
  def expect_newest_of_closed_tabs
    expect(told(<<~JS)).to eq(%w[newest own])
      await store.openStore(7)
      for (const [index, text] of ['older', 'newest'].entries())
        await store.keep(typed(text, { name: 'note:9', tab: 'closed', at: `2026-12-01T07:0${index}:00Z` }))
      const left = store.draftOf(7, 'note:9').value.text
      await store.keep(typed('own', { name: 'note:9', at: '2026-12-01T05:00:00Z' }))
      return [left, store.draftOf(7, 'note:9').value.text]
    JS
  end

  it 'has the last of several quick changes and nothing of what was dropped meanwhile, and says when the device takes nothing more' do
    expect(told(<<~JS)).to eq([true, true, true, ['12.4: draft']])
      const one = typed('1')
      const all = await Promise.all([store.keep(one), store.keep({ ...one, value: { text: '12' } }), store.keep({ ...one, value: { text: '12.4' } })])
      return [...all, await onDevice()]
    JS
    expect(told(<<~JS)).to eq([['12.4: draft'], ['12.4: draft', 'twice: draft']])
      const [gone, back] = [typed('gone'), typed('twice')]
      await Promise.all([store.keep(gone), store.drop(gone.key)])
      const without = await onDevice()
      await Promise.all([store.keep(back), store.drop(back.key), store.keep(back)])
      return [without, await onDevice()]
    JS
    told('store.unsent().forEach(({ key }) => store.drop(key)); await store.drop("nobody")')
    expect(told('return [here(), await onDevice()]')).to eq([[], []])
    expect_word_of_a_full_device
  end

  it 'takes up what another tab keeps and throws away, and never loses its own newer text to it' do
    key = told('const one = typed("of the first"); await store.keep(one); return one.key')
    other = another_tab
    within_window(other) do
      expect(told('return here()')).to eq(['of the first: draft'])
      # Nobody's draft while the tab that types it is open.
      expect(told('return store.draftOf(7, "note:1") ?? null')).to be_nil
      told('await store.keep({ ...store.unsent()[0], value: { text: "of the second" } })')
    end
    told('await until(() => here()[0] === "of the second: draft")')
    # A letter typed here while the page looks what the other tab has kept.
    expect(told(<<~JS, key)).to eq(['mine: draft'])
      const getAll = IDBIndex.prototype.getAll
      let mine
      IDBIndex.prototype.getAll = function (...all) {
        IDBIndex.prototype.getAll = getAll
        const asked = getAll.apply(this, all)
        mine = store.keep({ ...store.unsent()[0], value: { text: 'mine' } })
        return asked
      }
      new BroadcastChannel('unsent').postMessage(7)
      await until(() => mine)
      await mine
      return here()
    JS
    within_window(other) do
      told('await until(() => here()[0] === "mine: draft")')
      told('await store.drop(given[0])', key)
    end
    told('await until(() => here().length === 0)')
    # What somebody else's page says is no news for this person.
    told('new BroadcastChannel("unsent").postMessage(8); await disk.write(typed("unannounced"))')
    expect(told('return here()')).to eq([])
    other.close
  end

  it 'sends what waits in order and once, stops at the first without an answer, and lets a refused one wait for its owner' do
    expect(told(<<~JS)).to eq([%w[a a], ['a: waiting', 'b: waiting', 'c: waiting']])
      for (const [index, name] of ['a', 'b', 'c'].entries()) await store.keep(waits(name, { at: `2026-12-01T06:0${index}:00Z` }))
      answers(() => no(503, 'busy'))
      await queue.flush(7, async () => {})
      answers(() => 'silent')
      await queue.flush(7, async () => {})
      return [sent.map(({ body }) => body.about), await onDevice()]
    JS
    expect(told(<<~JS)).to eq([%w[a b c], %w[a b c], ['b: refused'], 'Refused: unusual'])
      sent.length = 0
      const saved = []
      answers(({ body }) => (body.about === 'b' ? no(422, 'unusual') : yes))
      await Promise.all([queue.flush(7, async ({ about }) => { saved.push(about) }), queue.flush(7, async () => {})])
      return [sent.map(({ body }) => body.about), saved, await onDevice(), store.unsent()[0].refusal.message]
    JS
    # Sent again as it is, it is another request, behind what waits by then; a mended one takes what it mends along.
    expect(told(<<~JS)).to eq([%w[d b e], true, [], false])
      sent.length = 0
      const [refused] = store.unsent()
      await store.keep(waits('d'))
      await until(() => new Date().toISOString() > store.unsent().at(-1).at)
      await queue.tryAgain(refused)
      await until(() => new Date().toISOString() > store.unsent().at(-1).at)
      const stale = typed('stale', { state: 'refused', wish: wish('stale'), refusal: refusal('unusual') })
      await store.keep(stale)
      await store.keep(waits('e', { mends: stale.key }))
      answers(({ body }) => (body.about === 'd' ? no(409, 'id_taken') : yes))
      await queue.flush(7, async () => {})
      return [sent.map(({ body }) => body.about), sent[1].id !== refused.id, await onDevice(), queue.anyWaits(7)]
    JS
  end

  it 'knows of each answer what became of it, throws away only what was not done, and mends only where nothing newer is typed' do
    fates = { [0, 'offline'] => 'unknown', [408, 'timeout'] => 'unknown', [500, 'unreadable'] => 'unknown', [502, 'unreadable'] => 'unknown',
              [504, 'unreadable'] => 'unknown', [500, 'our_fault'] => 'refused', [401, 'signed_out'] => 'signedOut', [429, 'busy'] => 'later',
              [503, 'busy'] => 'later', [503, 'our_fault'] => 'later', [409, 'edit_conflict'] => 'conflict', [409, 'id_taken'] => 'saved',
              [202, 'not_shown'] => 'saved', [422, 'unusual'] => 'refused', [403, 'forbidden'] => 'refused', [404, 'not_found'] => 'refused',
              [413, 'too_large'] => 'refused', [422, 'over_budget'] => 'refused' }
    said = fates.keys.map { |status, code| told('return fateOf(new HttpError(given[0], refusal(given[1])))', status, code) }
    expect(fates.keys.zip(said).to_h).to eq(fates)
    told('window.settled = { saved: true }; answers(({ path }) => (path.endsWith("/settlement") ? { status: 200, body: settled } : yes))')
    expect(told('const one = waits("a"); await store.keep(one); return [await queue.throwAway(one), here(), sent[0].path.split("/")[3] === one.id]'))
      .to eq(['was saved', [], true])
    expect(told('settled.saved = false; const one = waits("b"); await store.keep(one); return [await queue.throwAway(one), here()]')).to eq(['gone',
                                                                                                                                             []])
    expect(told('answers(() => "silent"); const one = waits("c"); await store.keep(one); return [await queue.throwAway(one), here()]'))
      .to eq(['not known', ['c: waiting']])
    # The server has said no: nothing is asked.
    expect(told(<<~JS)).to eq(['gone', 0])
      sent.length = 0
      const one = typed('d', { state: 'refused', wish: wish('d'), refusal: refusal('unusual') })
      await store.keep(one)
      return [await queue.throwAway(one), sent.length]
    JS
    expect(told(<<~JS)).to eq([false, nil, true, 'refused'])
      const refused = typed('old', { state: 'refused', wish: wish('old'), refusal: refusal('unusual') })
      const newer = typed('newer')
      await store.keep(refused)
      await store.keep(newer)
      const over = await queue.setOut(refused)
      const none = store.toMend(7, 'note:1') ?? null
      await store.drop(newer.key)
      return [over, none, await queue.setOut(refused), store.toMend(7, 'note:1').state]
    JS
  end

  it 'goes on from what a page left that went: noted, on its way, kept by an earlier version' do
    told(<<~JS)
      journal.note('theirs', { ...typed('of person 8'), key: 'theirs', person: 8 })
      const [last, gone] = [typed('last letters'), typed('thrown away')]
      await disk.write({ ...last, value: { text: 'last' } })
      await disk.write(gone)
      journal.note(last.key, last)
      journal.note(gone.key, null)
      await disk.write(waits('went with its page', { state: 'sending' }))
      const busy = waits('another tab sends it', { state: 'sending' })
      await disk.write(busy)
      navigator.locks.request(`sending:${busy.key}`, () => new Promise(() => {}))
      localStorage.setItem('draft:7:note:2', JSON.stringify({ value: { text: 'of the first version' }, base: 3 }))
      localStorage.setItem('draft:8:note:2', JSON.stringify({ value: { text: 'not mine' }, base: 3 }))
      localStorage.setItem('draft:7:note:3', '{ torn')
    JS
    other = another_tab
    within_window(other) do
      expect(told('return here()')).to contain_exactly('last letters: draft', 'went with its page: waiting', 'another tab sends it: sending',
                                                       'of the first version: draft')
      expect(told('return [(await onDevice()).length, Object.keys(localStorage).filter((name) => /unsent|draft/.test(name)).sort()]'))
        .to eq([4, ['draft:7:note:3', 'draft:8:note:2', 'unsent:last:theirs']])
      expect(told('return store.draftOf(7, "note:2").base')).to eq(3)
    end
    other.close
    expect_newest_of_closed_tabs
  end
end
