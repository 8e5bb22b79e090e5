import type { Unsent } from './unsent'

/** The store takes its time, and a page may go at once: what is on its way there then is noted where it can be noted at once. */
const START = 'unsent:last:'

/** A record as it was when its page went; null where it was just being thrown away. */
export function note(key: string, record: Unsent | null): void {
  try {
    localStorage.setItem(START + key, JSON.stringify(record))
  } catch {
    // Full: the store has all but the last letters.
  }
}

/** What pages that went have noted, of this person. */
export function noted(person: number): { key: string; record: Unsent | null }[] {
  try {
    const keys = Object.keys(localStorage).filter((name) => name.startsWith(START))
    return keys
      .map((name) => ({
        key: name.slice(START.length),
        record: JSON.parse(localStorage.getItem(name) ?? 'null') as Unsent | null,
      }))
      .filter(({ record }) => record === null || record.person === person)
  } catch {
    return []
  }
}

export function forgetNote(key: string): void {
  localStorage.removeItem(START + key)
}
