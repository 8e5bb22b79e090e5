import { usePerson } from '../session/session'
import { Entry } from './Entry'
import type { Queued } from './queue'
import { useUnsent } from './useUnsent'

const names = (entry: Queued, id: string) =>
  entry.page.includes(id) || entry.wish.path.includes(id) || Object.values(entry.wish.body).includes(id)

/** What of this person is not with the server yet and belongs to a job, a unit or a draft; all of it without an id. */
export function usePendingOn(id?: string): Queued[] {
  const { waiting, refused } = useUnsent(usePerson().id)
  return [...refused, ...waiting].filter((entry) => id === undefined || names(entry, id))
}

/** The same on the page that it belongs to, where somebody looks for it. */
export function Pending({ on }: { on?: string }) {
  const entries = usePendingOn(on)
  if (entries.length === 0) return null
  return (
    <section aria-label="Not yet sent" className="border-l-4 border-watch pl-4">
      <h2 className="text-lead">
        Not yet sent <span className="text-quiet">{entries.length}</span>
      </h2>
      <ul>
        {entries.map((entry) => (
          <Entry key={entry.key} entry={entry} />
        ))}
      </ul>
    </section>
  )
}
