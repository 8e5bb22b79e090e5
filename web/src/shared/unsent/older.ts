import { openDB } from 'idb'
import type { Wish } from '../api/wish'
import { fresh, type Unsent } from './unsent'

/** As earlier versions of this program kept what waits. */
interface OlderEntry {
  order: number
  id: string
  person: number
  wish: Wish
  draft: { name: string; value: object; base: number | null }
  page: string
  at: string
  refusal: string | null
}

/** What comes along, and how it is forgotten where it was, once it is here. */
interface Brought {
  record: Unsent
  forget: () => Promise<void>
}

const OLDER = 'outbox'

async function waited(person: number, tab: string): Promise<Brought[]> {
  const known = await indexedDB.databases()
  if (!known.some(({ name }) => name === OLDER)) return []

  const db = await openDB(OLDER)
  const entries = db.objectStoreNames.contains('entries') ? ((await db.getAll('entries')) as OlderEntry[]) : []
  return entries
    .filter((entry) => entry.person === person)
    .map(({ order, id, wish, draft, page, at, refusal }) => ({
      record: {
        ...fresh({ person, tab, page, name: draft.name, value: draft.value, base: draft.base }),
        // The same entry brought along twice is one.
        key: id,
        id,
        at,
        wish,
        state: refusal === null ? 'waiting' : 'refused',
        refusal: refusal === null ? null : { code: 'refused', message: refusal, fields: {} },
      },
      forget: () => db.delete('entries', order),
    }))
}

/** Whose it was is in its name. */
function typed(person: number, tab: string): Brought[] {
  const start = `draft:${person}:`
  return Object.keys(localStorage)
    .filter((kept) => kept.startsWith(start))
    .flatMap((kept) => {
      try {
        const { value, base } = JSON.parse(localStorage.getItem(kept) ?? '') as { value: object; base: number | null }
        const name = kept.slice(start.length)
        const forget = () => {
          localStorage.removeItem(kept)
          return Promise.resolve()
        }
        return [{ record: { ...fresh({ person, tab, name, value, base, page: '/' }), key: kept }, forget }]
      } catch {
        return []
      }
    })
}

/** What an earlier version of this program left on this device. */
export const broughtAlong = async (person: number, tab: string): Promise<Brought[]> => [
  ...(await waited(person, tab)),
  ...typed(person, tab),
]
