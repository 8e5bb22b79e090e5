import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Unsent } from './unsent'

interface Schema extends DBSchema {
  unsent: { key: string; value: Unsent; indexes: { person: number } }
}

let database: Promise<IDBPDatabase<Schema>> | null = null

function open(): Promise<IDBPDatabase<Schema>> {
  database ??= openDB<Schema>('unsent', 1, {
    upgrade(made) {
      made.createObjectStore('unsent', { keyPath: 'key' }).createIndex('person', 'person')
    },
    terminated: forget,
  })
  database.catch(forget)
  return database
}

function forget() {
  database = null
}

/** What a browser says of a connection that it closed: while the tab slept, for want of room, or as the page goes away. */
const CLOSED = new Set(['AbortError', 'InvalidStateError', 'UnknownError', 'NotFoundError'])

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

export const readAll = (person: number): Promise<Unsent[]> =>
  stored((db) => db.getAllFromIndex('unsent', 'person', person))

/** Done when it is on the device: the transaction has come to its end. */
export async function write(record: Unsent): Promise<void> {
  await stored(async (db) => {
    // What goes out has to outlive a battery that dies; each letter of a draft need not wait for the disk.
    const durability = record.state === 'draft' ? 'relaxed' : 'strict'
    const transaction = db.transaction('unsent', 'readwrite', { durability })
    await Promise.all([transaction.store.put(record), transaction.done])
  })
}

export async function erase(key: string): Promise<void> {
  await stored((db) => db.delete('unsent', key))
}

/** One look and one change of it that no other tab comes between; nothing where the record is gone, or no longer as `fits` says. */
export function exchange(
  key: string,
  fits: (record: Unsent) => boolean,
  change: (record: Unsent) => Unsent,
): Promise<Unsent | null> {
  return stored(async (db) => {
    const transaction = db.transaction('unsent', 'readwrite', { durability: 'strict' })
    const now = await transaction.store.get(key)
    const next = now && fits(now) ? change(now) : null
    if (next) await transaction.store.put(next)
    await transaction.done
    return next
  })
}
