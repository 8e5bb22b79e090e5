/** What somebody typed and has not sent, kept on this device under their own name. */
export interface Draft<T> {
  value: T
  /** Goes out with it, and changes only when the server has refused it for good. */
  requestId: string
  /** Version of what it changes, as it was when the draft was begun. */
  base: number | null
  /** The body that went out and got no answer. */
  unanswered: string | null
}

const storageKey = (person: number, name: string) => `draft:${person}:${name}`

export const freshDraft = <T>(value: T, base: number | undefined): Draft<T> => ({
  value,
  requestId: crypto.randomUUID(),
  base: base ?? null,
  unanswered: null,
})

export function readDraft<T>(person: number, name: string): Draft<T> | null {
  try {
    return JSON.parse(localStorage.getItem(storageKey(person, name)) ?? 'null') as Draft<T> | null
  } catch {
    return null
  }
}

export function keepDraft<T>(person: number, name: string, draft: Draft<T>): void {
  try {
    localStorage.setItem(storageKey(person, name), JSON.stringify(draft))
  } catch {
    // The device is full: it stays as long as the page does.
  }
}

export function dropDraft(person: number, name: string): void {
  localStorage.removeItem(storageKey(person, name))
}
