import { HttpError } from '../api/http'
import type { Wish } from '../api/wish'
import { fateOf } from '../writes/fate'
import { send, settle } from '../writes/send'
import { drop, draftOf, keep, subscribe, thisTab, unsent } from './store'
import { whileSending } from './tabs'
import type { Unsent } from './unsent'

/** A record that went out, or is to. */
export type Queued = Unsent & { wish: Wish }

const TRY_AGAIN_MILLISECONDS = 10_000
let going: Promise<void> | null = null

const isQueued = (one: Unsent): one is Queued =>
  one.wish !== null && (one.state === 'waiting' || one.state === 'refused')

const queued = (person: number): Queued[] =>
  unsent()
    .filter(isQueued)
    .filter((one) => one.person === person)
const waiting = (person: number) => queued(person).filter(({ state }) => state === 'waiting')

/** Whether something of this person waits its turn: what is sent now goes behind it. */
export const anyWaits = (person: number): boolean => waiting(person).length > 0

/** A refused write is tried again as it is, once what stood against it is mended elsewhere: it is another request. */
export async function tryAgain(entry: Queued): Promise<void> {
  await keep({ ...entry, id: crypto.randomUUID(), state: 'waiting', refusal: null, at: new Date().toISOString() })
}

export type Thrown = 'gone' | 'was saved' | 'not known'

/** One that may have been done is asked for first: where it was, there is nothing to throw away. */
export async function throwAway(entry: Queued): Promise<Thrown> {
  try {
    const done = entry.state === 'waiting' && (await settle(entry.id))
    await drop(entry.key)
    return done ? 'was saved' : 'gone'
  } catch (error) {
    if (error instanceof HttpError) return 'not known'
    throw error
  }
}

/** Sets out to mend it where it was typed; false where something newer is typed there by now. */
export async function setOut(entry: Queued): Promise<boolean> {
  if (draftOf(entry.person, entry.name)) return false
  await keep({ ...entry, mendedIn: thisTab() })
  return true
}

/**
 * Sends what waits, in order, under its owner's session and no other; ends at the first that gets no answer. One tab at a time.
 */
export function flush(person: number, onSent: (wish: Wish) => Promise<void>): Promise<void> {
  going ??= alone(() => sendAll(person, onSent)).finally(() => {
    going = null
  })
  return going
}

async function alone(work: () => Promise<void>): Promise<void> {
  await navigator.locks.request('outbox', { ifAvailable: true }, async (lock) => {
    if (lock) await work()
  })
}

async function sendAll(person: number, onSent: (wish: Wish) => Promise<void>): Promise<void> {
  for (const entry of waiting(person)) {
    const goesOn = await whileSending(entry.key, () => sendOne(entry))
    if (!goesOn) return
    await onSent(entry.wish)
  }
}

/** Whether the next may go. */
async function sendOne(entry: Queued): Promise<boolean> {
  try {
    await send(entry.wish, entry.id)
  } catch (error) {
    if (!(error instanceof HttpError)) throw error
    const fate = fateOf(error)
    if (fate === 'unknown' || fate === 'later' || fate === 'signedOut') return false
    if (fate !== 'saved') {
      await keep({ ...entry, state: 'refused', refusal: error.refusal })
      return true
    }
  }
  await drop(entry.key)
  if (entry.mends) await drop(entry.mends)
  return true
}

/** Tries at the start, when the network says it is back, and every ten seconds while something waits. */
export function keepSending(person: number, onSent: (wish: Wish) => Promise<void>): () => void {
  const go = () => {
    if (anyWaits(person)) void flush(person, onSent)
  }
  go()
  let before = waiting(person).length
  const stop = subscribe(() => {
    const now = waiting(person).length
    if (now > before && navigator.onLine) go()
    before = now
  })
  window.addEventListener('online', go)
  const timer = window.setInterval(go, TRY_AGAIN_MILLISECONDS)
  return () => {
    stop()
    window.removeEventListener('online', go)
    window.clearInterval(timer)
  }
}
