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
  })
  return database
}

async function changed(): Promise<void> {
  snapshot = await (await open()).getAll('entries')
  listeners.forEach((listener) => {
    listener()
  })
}

/** What waits, of everybody who uses this device; callers show a person's own. */
export const entries = (): Entry[] => snapshot

export function subscribe(listener: () => void): () => void {
  if (listeners.size === 0) void changed()
  listeners.add(listener)
  return () => {
    listeners.delete(listener)
  }
}

/** Puts a write at the end of the line. The same id twice is one write. */
export async function enqueue(entry: Omit<Entry, 'order' | 'at' | 'refusal'>): Promise<void> {
  const db = await open()
  const known = await db.getFromIndex('entries', 'id', entry.id)
  if (!known) await db.add('entries', { ...entry, at: new Date().toISOString(), refusal: null } as Entry)
  await changed()
}

export async function throwAway(order: number): Promise<void> {
  await (await open()).delete('entries', order)
  await changed()
}

/** A refused write is tried again as it is, once what stood against it is mended elsewhere. */
export async function tryAgain(entry: Entry): Promise<void> {
  await (await open()).put('entries', { ...entry, id: crypto.randomUUID(), refusal: null })
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
  const db = await open()
  const waiting = (await db.getAll('entries')).filter((entry) => entry.person === person && entry.refusal === null)
  for (const entry of waiting) {
    try {
      await send(entry.wish, entry.id)
    } catch (error) {
      if (!(error instanceof HttpError)) throw error
      const fate = fateOf(error)
      if (fate === 'unknown' || fate === 'later' || fate === 'signedOut') return
      if (fate !== 'saved') {
        await db.put('entries', { ...entry, refusal: error.message })
        await changed()
        continue
      }
    }
    await db.delete('entries', entry.order)
    await changed()
    await onSent(entry.wish)
  }
}

/** Tries at the start, when the network says it is back, and every ten seconds while something waits. */
export function keepSending(person: number, onSent: (wish: Wish) => Promise<void>): () => void {
  const go = () => {
    if (snapshot.some((entry) => entry.person === person && entry.refusal === null)) void flush(person, onSent)
  }
  void changed().then(go)
  window.addEventListener('online', go)
  const timer = window.setInterval(go, TRY_AGAIN_MILLISECONDS)
  return () => {
    window.removeEventListener('online', go)
    window.clearInterval(timer)
  }
}
