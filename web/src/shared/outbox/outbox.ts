import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import { HttpError } from '../api/http'
import { fateOf } from '../writes/fate'
import { send } from '../writes/send'
import type { Wish } from '../api/wish'

/** A write that waits on this device for the network, under the id it goes out with. */
export interface Entry {
  order: number
  id: string
  person: number
  wish: Wish
  /** What was typed, and the page it was typed on: to be mended there when it is refused. */
  draft: { name: string; value: object; base: number | null }
  page: string
  at: string
  /** Why the server did not take it; it stays until it is mended or thrown away. */
  refusal: string | null
}

interface Schema extends DBSchema {
  entries: { key: number; value: Entry; indexes: { id: string } }
}

const TRY_AGAIN_MILLISECONDS = 10_000
let database: Promise<IDBPDatabase<Schema>> | null = null
const listeners = new Set<() => void>()
let snapshot: Entry[] = []
let sending: Promise<void> | null = null

function open(): Promise<IDBPDatabase<Schema>> {
  database ??= openDB<Schema>('outbox', 1, {
    upgrade(fresh) {
      fresh
        .createObjectStore('entries', { keyPath: 'order', autoIncrement: true })
        .createIndex('id', 'id', { unique: true })
    },
    terminated: forget,
  })
  return database
}

function forget() {
  database = null
}

/** What a browser says of a connection that it closed: while the tab slept, for want of room, or as the page goes away. */
const CLOSED = new Set(['AbortError', 'InvalidStateError', 'UnknownError'])

/** Work on the device's store, once more on a new connection where the old one was closed; it must bear being done twice. */
async function stored<T>(work: (db: IDBPDatabase<Schema>) => Promise<T>): Promise<T> {
  try {
    return await work(await open())
  } catch (error) {
    if (!(error instanceof DOMException) || !CLOSED.has(error.name)) throw error
    forget()
    return work(await open())
  }
}

/** A look that fails, since the page goes away, is made up for by the next. */
const look = () => changed().catch(() => undefined)

async function changed(): Promise<void> {
  snapshot = await stored((db) => db.getAll('entries'))
  listeners.forEach((listener) => {
    listener()
  })
}

/** What waits, of everybody who uses this device; callers show a person's own. */
export const entries = (): Entry[] => snapshot

export function subscribe(listener: () => void): () => void {
  if (listeners.size === 0) void look()
  listeners.add(listener)
  return () => {
    listeners.delete(listener)
  }
}

/** Puts a write at the end of the line. The same id twice is one write. */
export async function enqueue(entry: Omit<Entry, 'order' | 'at' | 'refusal'>): Promise<void> {
  await stored(async (db) => {
    const known = await db.getFromIndex('entries', 'id', entry.id)
    if (!known) await db.add('entries', { ...entry, at: new Date().toISOString(), refusal: null } as Entry)
  })
  await changed()
}

export async function throwAway(order: number): Promise<void> {
  await stored((db) => db.delete('entries', order))
  await changed()
}

/** A refused write is tried again as it is, once what stood against it is mended elsewhere. */
export async function tryAgain(entry: Entry): Promise<void> {
  const again = { ...entry, id: crypto.randomUUID(), refusal: null }
  await stored((db) => db.put('entries', again))
  await changed()
}

/**
 * Sends what waits, in order, under its owner's session and no other; ends at the first that gets no answer. One tab at a time.
 */
export function flush(person: number, onSent: (wish: Wish) => Promise<void>): Promise<void> {
  sending ??= alone(() => sendAll(person, onSent)).finally(() => {
    sending = null
  })
  return sending
}

async function alone(work: () => Promise<void>): Promise<void> {
  await navigator.locks.request('outbox', { ifAvailable: true }, async (lock) => {
    if (lock) await work()
  })
}

async function sendAll(person: number, onSent: (wish: Wish) => Promise<void>): Promise<void> {
  const all = await stored((db) => db.getAll('entries'))
  const waiting = all.filter((entry) => entry.person === person && entry.refusal === null)
  for (const entry of waiting) {
    try {
      await send(entry.wish, entry.id)
    } catch (error) {
      if (!(error instanceof HttpError)) throw error
      const fate = fateOf(error)
      if (fate === 'unknown' || fate === 'later' || fate === 'signedOut') return
      if (fate !== 'saved') {
        await stored((db) => db.put('entries', { ...entry, refusal: error.message }))
        await changed()
        continue
      }
    }
    await stored((db) => db.delete('entries', entry.order))
    await changed()
    await onSent(entry.wish)
  }
}

/** Tries at the start, when the network says it is back, and every ten seconds while something waits. */
export function keepSending(person: number, onSent: (wish: Wish) => Promise<void>): () => void {
  const go = () => {
    if (snapshot.some((entry) => entry.person === person && entry.refusal === null)) void flush(person, onSent)
  }
  void look().then(go)
  window.addEventListener('online', go)
  const timer = window.setInterval(go, TRY_AGAIN_MILLISECONDS)
  return () => {
    window.removeEventListener('online', go)
    window.clearInterval(timer)
  }
}
