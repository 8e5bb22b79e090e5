import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useRef, useState } from 'react'
import { HttpError } from '../api/http'
import { refresh } from '../api/refresh'
import { enqueue } from '../outbox/outbox'
import { usePerson } from '../session/session'
import { dropDraft, freshDraft, keepDraft, readDraft, type Draft } from './drafts'
import { fateOf } from './fate'
import { send, settle } from './send'
import type { TypedWish } from '../api/wish'

interface Options<T, Reply> {
  /** Names what is written: draft, request id and base version are kept under it. Give the component the same key. */
  name: string
  empty: T
  /** Version of the row that is changed, as the page has it now. */
  version?: number
  /** Holds a password: never kept on the device, and never waits there. */
  secret?: boolean
  onSaved?: (reply: Reply) => void
  /** No network: it waits in the outbox now. */
  onWaiting?: () => void
}

/** An unanswered write turned out to be saved, and what is typed differs from it by now. */
const savedBefore = () =>
  new HttpError(409, {
    code: 'saved_before',
    message: 'What you sent first was saved after all. What you changed since is still here: correct the saved one.',
    fields: {},
  })

/**
 * The one way in which a form writes. It keeps what is typed, the id it goes out under and the version it started from together; a lost
 * reply, a second tap and a reload are the same request; a dead network puts it into the outbox.
 */
export function useWrite<T extends object, Reply>(options: Options<T, Reply>) {
  const { name, empty, version, secret = false, onSaved, onWaiting } = options
  const person = usePerson().id
  const queries = useQueryClient()
  const [draft, setDraft] = useState<Draft<T>>(() => {
    const kept = secret ? null : readDraft<T>(person, name)
    return kept ? { ...kept, value: { ...empty, ...kept.value } } : freshDraft(empty, version)
  })
  const [error, setError] = useState<HttpError | null>(null)
  const [isPending, setPending] = useState(false)
  const busy = useRef(false)

  const keep = useCallback(
    (next: Draft<T>) => {
      if (!secret) keepDraft(person, name, next)
      setDraft(next)
    },
    [name, person, secret],
  )
  const change = useCallback(
    (value: T) => {
      setDraft((before) => {
        const next = { ...before, value }
        if (!secret) keepDraft(person, name, next)
        return next
      })
    },
    [name, person, secret],
  )
  const clear = () => {
    dropDraft(person, name)
    setDraft(freshDraft(empty, version))
    setError(null)
  }

  /** Before something else goes out: was what got no answer saved? Gives the draft to go on with, nothing where it was. */
  const settled = async (current: Draft<T>, body: string): Promise<Draft<T> | null> => {
    if (current.unanswered === null || current.unanswered === body) return current
    if (!(await settle(current.requestId))) return { ...current, requestId: crypto.randomUUID(), unanswered: null }
    keep(freshDraft(current.value, version))
    await refresh(queries)
    setError(savedBefore())
    return null
  }

  const waits = async (current: Draft<T>, wish: TypedWish<Reply>) => {
    const { requestId: id, value, base } = current
    await enqueue({ id, person, wish, draft: { name, value, base }, page: window.location.pathname })
    clear()
    onWaiting?.()
  }

  const failed = async (caught: HttpError, current: Draft<T>, wish: TypedWish<Reply>) => {
    const fate = fateOf(caught)
    if (fate === 'saved') {
      clear()
      await refresh(queries, wish.path)
      onWaiting?.()
      return
    }
    if (caught.status === 0 && !secret) {
      await waits(current, wish)
      return
    }
    const again = fate === 'refused' ? { requestId: crypto.randomUUID(), unanswered: null } : {}
    keep({ ...current, unanswered: fate === 'unknown' ? JSON.stringify(wish.body) : null, ...again })
    if (fate === 'conflict') await refresh(queries, wish.path)
    setError(caught)
  }

  const sendOnce = async (build: (id: string, base: number | null) => TypedWish<Reply>, value: T) => {
    const typed = { ...draft, value }
    const current = await settled(typed, JSON.stringify(build(typed.requestId, typed.base).body))
    if (!current) return
    const wish = build(current.requestId, current.base)
    keep({ ...current, unanswered: JSON.stringify(wish.body) })
    try {
      const reply = (await send(wish, current.requestId)) as Reply
      clear()
      onSaved?.(reply)
      await refresh(queries, wish.path)
    } catch (caught) {
      if (!(caught instanceof HttpError)) throw caught
      await failed(caught, current, wish)
    }
  }

  /** Sends what `build` makes of the id and of the version the draft started from. A second tap while it is on its way does nothing. */
  const write = async (build: (id: string, base: number | null) => TypedWish<Reply>, value: T = draft.value) => {
    if (busy.current) return
    busy.current = true
    setPending(true)
    setError(null)
    try {
      await sendOnce(build, value)
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
      keep({ ...draft, value, base })
      setError(null)
    },
    clear,
    write,
    error,
    isPending,
  }
}
