import { useQueryClient } from '@tanstack/react-query'
import { refresh } from '../api/refresh'
import { Button } from '../ui/Button'
import { Sheet } from '../ui/Sheet'
import { Entry } from './Entry'
import { flush } from './queue'
import { useUnsent } from './useUnsent'

/** What waits on this device and what was refused, each with its reason, to be sent again or thrown away. */
export function UnsentSheet({ person, open, onClose }: { person: number; open: boolean; onClose: () => void }) {
  const { waiting, refused } = useUnsent(person)
  const queries = useQueryClient()
  return (
    <Sheet title="Waiting on this device" open={open} onClose={onClose}>
      <div className="flex flex-col gap-5">
        {refused.length > 0 && (
          <section aria-label="Refused">
            <h3 className="font-label font-bold">Refused</h3>
            <ul>
              {refused.map((entry) => (
                <Entry key={entry.key} entry={entry} />
              ))}
            </ul>
          </section>
        )}
        {waiting.length > 0 && (
          <section aria-label="Waiting">
            <h3 className="font-label font-bold">Sent in this order when the network is back</h3>
            <ul>
              {waiting.map((entry) => (
                <Entry key={entry.key} entry={entry} />
              ))}
            </ul>
            <Button className="mt-3" onClick={() => void flush(person, (wish) => refresh(queries, wish.path))}>
              Try now
            </Button>
          </section>
        )}
        {waiting.length + refused.length === 0 && <p>Nothing waits: all of it is saved.</p>}
      </div>
    </Sheet>
  )
}
