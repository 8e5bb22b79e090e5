import { useSyncExternalStore } from 'react'
import { entries, subscribe, type Entry } from './outbox'

/** What this person's writes wait for: those on their way, and those that were refused. */
export function useOutbox(person: number): { waiting: Entry[]; refused: Entry[] } {
  const all = useSyncExternalStore(subscribe, entries)
  const mine = all.filter((entry) => entry.person === person)
  return {
    waiting: mine.filter((entry) => entry.refusal === null),
    refused: mine.filter((entry) => entry.refusal !== null),
  }
}
