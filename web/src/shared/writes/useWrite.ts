import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useRef, useState } from 'react'
import { HttpError } from '../api/http'
import { refresh } from '../api/refresh'
import type { TypedWish } from '../api/wish'
import { usePerson } from '../session/session'
import { anyWaits, flush } from '../unsent/queue'
import { draftOf, drop, keep, thisTab, toMend } from '../unsent/store'
import { whileSending } from '../unsent/tabs'
import { fresh, type Unsent } from '../unsent/unsent'
import { fateOf } from './fate'
import { send } from './send'

interface Options<T, Reply> {
  /** Names what is written: what is typed is kept under it. Give the component the same key. */
  name: string
  empty: T
  /** Version of the row that is changed, as the page has it now. */
  version?: number
  /** Holds a password: never kept on the device, and never waits there. */
  secret?: boolean
  onSaved?: (reply: Reply) => void
  /** No clear answer yet: it waits on this device, and is sent again under the same id; or it is saved, and not to be shown just now. */
  onWaiting?: () => void
}

type Typed<T> = Unsent & { value: T }
const FULL =
  'There is no network, and this device keeps nothing more: leave this page open until the network is back, or make room on the device.'

/** Kept nowhere, so that it cannot wait either. */
const unkept = () => new HttpError(0, { code: 'not_kept', message: FULL, fields: {} })

/**
 * The one way in which a form writes. What is typed is one record on this device, from its first letter to the server's answer: text, id and
 * version belong together. A lost reply, a second tap and a reload are the same request; what gets no clear answer waits in its turn.
 */
export function useWrite<T extends object, Reply>(options: Options<T, Reply>) {
  const { name, empty, version, secret = false, onSaved, onWaiting } = options
  const person = usePerson().id
  const queries = useQueryClient()
  const blank = useCallback(
    (value: T, rest: Partial<Pick<Unsent, 'base' | 'mends'>> = {}): Typed<T> => ({
      ...fresh({ person, name, tab: thisTab(), page: window.location.pathname, base: version ?? null, ...rest, value }),
      value,
    }),
    [name, person, version],
  )
  const [begun] = useState(() => {
    const known = secret ? undefined : draftOf(person, name)
    if (known) return { draft: { ...known, tab: thisTab(), value: { ...empty, ...known.value } }, error: null }

    const refused = secret ? undefined : toMend(person, name)
    if (!refused) return { draft: blank(empty), error: null }

    const value = { ...empty, ...refused.value }
    return {
      draft: blank(value, { base: refused.base, mends: refused.key }),
      error: refused.refusal && new HttpError(422, refused.refusal),
    }
  })
  const [draft, setDraft] = useState<Typed<T>>(begun.draft)
  const [error, setError] = useState<HttpError | null>(begun.error)
  const [isPending, setPending] = useState(false)
  const busy = useRef(false)
  const latest = useRef(draft)

  // What a closed tab left is this tab's from now on, and no other's.
  useEffect(() => {
    const known = secret ? undefined : draftOf(person, name)
    if (known && known.tab !== thisTab()) void keep({ ...known, tab: thisTab() })
  }, [name, person, secret])

  const show = useCallback((next: Typed<T>) => {
    latest.current = next
    setDraft(next)
  }, [])

  /** What is as empty as at the start is no draft: text that was taken back does not come back. */
  const store = useCallback(
    (next: Typed<T>) => {
      show(next)
      if (secret) return
      if (JSON.stringify(next.value) === JSON.stringify(empty) && !next.mends) void drop(next.key)
      else void keep(next)
    },
    [empty, secret, show],
  )
  const change = useCallback(
    (value: T) => {
      if (JSON.stringify(value) !== JSON.stringify(latest.current.value)) store({ ...latest.current, value })
    },
    [store],
  )
  const startAnew = () => {
    show(blank(empty))
    setError(null)
  }
  const clear = () => {
    if (!secret) void drop(latest.current.key)
    startAnew()
  }

  /** From here on it is in the line, and no form's any more. */
  const waits = async (sent: Typed<T>) => {
    if (!(await keep({ ...sent, state: 'waiting' }))) {
      store({ ...sent, state: 'draft' })
      setError(unkept())
      return
    }
    startAnew()
    onWaiting?.()
  }

  const failed = async (caught: HttpError, sent: Typed<T>) => {
    const fate = fateOf(caught)
    if (fate === 'saved') {
      await drop(sent.key)
      if (sent.mends) await drop(sent.mends)
      startAnew()
      await refresh(queries, sent.wish?.path)
      onWaiting?.()
      return
    }
    if (fate === 'unknown' && !secret) {
      await waits(sent)
      return
    }
    // Refused for good: what is mended is another request.
    const again = fate === 'refused' ? { id: crypto.randomUUID() } : {}
    store({ ...sent, ...again, state: 'draft', wish: null })
    if (fate === 'conflict') await refresh(queries, sent.wish?.path)
    setError(caught)
  }

  const saved = async (sent: Typed<T>, reply: Reply) => {
    if (!secret) await drop(sent.key)
    if (sent.mends) await drop(sent.mends)
    startAnew()
    onSaved?.(reply)
    await refresh(queries, sent.wish?.path)
  }

  const sendOnce = async (sent: Typed<T> & { wish: TypedWish<Reply> }) => {
    let reply: Reply
    try {
      reply = (await send(sent.wish, sent.id)) as Reply
    } catch (caught) {
      if (!(caught instanceof HttpError)) throw caught
      await failed(caught, sent)
      return
    }
    await saved(sent, reply)
  }

  /** Behind what waits already: what was done first is told first. */
  const inLine = async (sent: Typed<T> & { wish: TypedWish<Reply> }) => {
    if (secret || !anyWaits(person)) return false
    await flush(person, (wish) => refresh(queries, wish.path))
    if (!anyWaits(person)) return false
    await waits(sent)
    return true
  }

  /** Sends what `build` makes of the id and of the version the draft started from. A second tap while it is on its way does nothing. */
  const write = async (
    build: (id: string, base: number | null) => TypedWish<Reply>,
    value: T = latest.current.value,
  ) => {
    if (busy.current) return
    busy.current = true
    setPending(true)
    setError(null)
    const { id, base } = latest.current
    const sent = {
      ...latest.current,
      value,
      state: 'sending' as const,
      wish: build(id, base),
      at: new Date().toISOString(),
    }
    try {
      await whileSending(sent.key, async () => {
        if (!secret) await keep(sent)
        show(sent)
        if (!(await inLine(sent))) await sendOnce(sent)
      })
    } catch (caught) {
      if (!(caught instanceof HttpError)) throw caught
      setError(caught)
    } finally {
      busy.current = false
      setPending(false)
    }
  }

  return {
    value: draft.value,
    base: draft.base,
    /** Something is typed that was not sent. */
    isDrafted: JSON.stringify(draft.value) !== JSON.stringify(empty),
    change,
    /** After looking at both versions: goes on from theirs. */
    rebase: (value: T, base: number) => {
      store({ ...latest.current, value, base })
      setError(null)
    },
    clear,
    write,
    error,
    isPending,
  }
}
