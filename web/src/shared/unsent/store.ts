import { erase, exchange, readAll, write } from './disk'
import { forgetNote, note, noted } from './journal'
import { broughtAlong } from './older'
import { liveTabs, onTheirWay, ownTab } from './tabs'
import type { Unsent } from './unsent'

/** After which a device that does not open its store is taken for one that refuses. */
const PATIENCE_MILLISECONDS = 4_000

/** What is typed and not confirmed of whoever is signed in, as this page knows it. */
const records = new Map<string, Unsent>()
/** The same records as they are on the device. */
const onDevice = new Map<string, Unsent>()
/** Keys of records that are being erased from the device. */
const leaving = new Set<string>()
const listeners = new Set<() => void>()
let list: readonly Unsent[] = []
let refuses = false
let owner: number | null = null
let tab = ''
let live = new Set<string>()
let writing: Promise<unknown> = Promise.resolve()
const others = new BroadcastChannel('unsent')

function changed() {
  list = [...records.values()].sort((one, other) => one.at.localeCompare(other.at))
  listeners.forEach((listener) => {
    listener()
  })
}

export const unsent = (): readonly Unsent[] => list
/** Whether this device takes nothing more: what is typed then lasts as long as the page. */
export const storeRefuses = (): boolean => refuses

export function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => {
    listeners.delete(listener)
  }
}

function said(trouble: boolean) {
  if (refuses === trouble) return
  refuses = trouble
  changed()
}

/** One change of the device after the other; true where it is there for good. */
function inTurn(change: () => Promise<void>): Promise<boolean> {
  const done = writing.then(change).then(
    () => {
      said(false)
      others.postMessage(owner)
      return true
    },
    () => {
      said(true)
      return false
    },
  )
  writing = done
  return done
}

/** Keeps a record as it is now; true when it is on the device. What is typed meanwhile goes along. */
export function keep(record: Unsent): Promise<boolean> {
  records.set(record.key, record)
  leaving.delete(record.key)
  changed()
  return inTurn(async () => {
    const now = records.get(record.key)
    if (!now || onDevice.get(record.key) === now) return
    await write(now)
    onDevice.set(now.key, now)
  })
}

/** Only of what the server has, or what somebody threw away. */
export function drop(key: string): Promise<boolean> {
  records.delete(key)
  leaving.add(key)
  changed()
  return inTurn(async () => {
    if (records.has(key)) return
    await erase(key)
    onDevice.delete(key)
    leaving.delete(key)
  })
}

/** What other tabs kept and threw away; what this page has not written yet stays as it is here. */
async function look(): Promise<void> {
  const person = owner
  if (person === null) return
  await writing
  const there = await readAll(person)
  live = await liveTabs()
  const keys = new Set(there.map(({ key }) => key))
  for (const record of there) {
    const here = records.get(record.key)
    if (here && here !== onDevice.get(record.key)) continue
    records.set(record.key, record)
    onDevice.set(record.key, record)
  }
  for (const [key, record] of records) {
    if (!keys.has(key) && record === onDevice.get(key)) {
      records.delete(key)
      onDevice.delete(key)
    }
  }
  changed()
}

const lookAgain = () => {
  look().catch(() => {
    said(true)
  })
}

others.onmessage = ({ data }) => {
  if (data === owner) lookAgain()
}
document.addEventListener('visibilitychange', () => {
  if (document.visibilityState === 'visible') lookAgain()
})

// A reload does not wait for the store.
window.addEventListener('pagehide', () => {
  leaving.forEach((key) => {
    note(key, null)
  })
  for (const record of records.values()) if (record !== onDevice.get(record.key)) note(record.key, record)
})

/** What was on its way when its page went: the same request is sent again, in its turn. */
async function settle(): Promise<void> {
  const sending = await onTheirWay()
  for (const { key } of list.filter(({ state }) => state === 'sending')) {
    if (sending.has(key)) continue
    const waits = await exchange(
      key,
      ({ state }) => state === 'sending',
      (record) => ({ ...record, state: 'waiting' }),
    )
    if (waits) records.set(key, waits)
  }
  await look()
}

async function opened(person: number): Promise<void> {
  for (const { key, record } of noted(person)) {
    await (record === null ? erase(key) : write(record))
    forgetNote(key)
  }
  for (const { record, forget } of await broughtAlong(person, tab)) {
    await write(record)
    await forget()
  }
  await look()
  await settle()
}

/** Before anything is drawn that somebody types into. */
export async function openStore(person: number): Promise<void> {
  owner = person
  records.clear()
  onDevice.clear()
  tab = await ownTab()
  live = new Set([tab])
  const late = new Promise<never>((_, reject) => {
    setTimeout(() => {
      reject(new Error('the store does not open'))
    }, PATIENCE_MILLISECONDS)
  })
  await Promise.race([opened(person), late]).catch(() => {
    said(true)
  })
}

export const thisTab = (): string => tab

/** A draft of this form to go on with: this tab's own, else the newest that a closed tab left. */
export function draftOf(person: number, name: string): Unsent | undefined {
  const drafts = list.filter((one) => one.state === 'draft' && one.person === person && one.name === name)
  return drafts.find((one) => one.tab === tab) ?? drafts.filter((one) => !live.has(one.tab)).at(-1)
}

/** A refused one that this tab was asked to mend. */
export const toMend = (person: number, name: string): Unsent | undefined =>
  list.find((one) => one.state === 'refused' && one.person === person && one.name === name && one.mendedIn === tab)
