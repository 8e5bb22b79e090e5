import type { QueryClient } from '@tanstack/react-query'

/** Which answers a write makes old, by its address: the one table of it. First match holds. */
const TOUCHED: readonly [RegExp, readonly string[]][] = [
  [/^\/api\/drafts\/[^/]+\/publication/, ['drafts', 'circuits', 'units']],
  [/^\/api\/drafts/, ['drafts']],
  [/^\/api\/circuits\/[^/]+\/stop-(proofs|answers)/, ['circuits', 'units', 'jobs', 'today']],
  [/^\/api\/units\/[^/]+\/(circuits|rulings)|^\/api\/circuits/, ['circuits', 'units', 'jobs']],
  [/^\/api\/engine-entries/, ['units', 'jobs', 'today']],
  [/^\/api\/(mornings|yards\/[^/]+\/night|units\/[^/]+\/(plan|parked))/, ['tonight']],
  [/^\/api\/(jobs|readings|repairs|disturbances)/, ['jobs', 'units', 'batteries', 'today', 'tonight']],
  [
    /^\/api\/(units|batteries|notices|parts)/,
    ['units', 'batteries', 'parts', 'traces', 'jobs', 'today', 'tonight', 'find'],
  ],
  [/^\/api\/(limits|schools)/, ['house-rules', 'jobs', 'units', 'today', 'sums']],
  [/^\/api\/people/, ['people', 'session']],
  [/^\/api\/yards/, ['yards', 'units', 'today', 'tonight', 'jobs']],
  [/^\/api\/sessions?/, ['session']],
]

/** Asks anew for what a write at this address made old; without an address, for everything. */
export async function refresh(queries: QueryClient, path?: string): Promise<void> {
  const touched = path === undefined ? undefined : TOUCHED.find(([address]) => address.test(path))?.[1]
  if (!touched) {
    await queries.invalidateQueries()
    return
  }
  await Promise.all(touched.map((key) => queries.invalidateQueries({ queryKey: [key] })))
}
